package plainlantern.studio.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.UUID;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.stereotype.Component;

/** Signs a member in without the form, after a sign-up and into the demo; and out, everywhere. */
@Component
public class Entry {
    private final SecurityContextRepository contexts;
    private final FindByIndexNameSessionRepository<?> sessions;

    Entry(SecurityContextRepository contexts, FindByIndexNameSessionRepository<?> sessions) {
        this.contexts = contexts;
        this.sessions = sessions;
    }

    public void let(Member member, HttpServletRequest request, HttpServletResponse response) {
        if (request.getSession(false) != null) request.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(new SignedIn(member));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        SecurityLog.said("let in", member.id(), request.getRemoteAddr());
    }

    /** Ends all sessions of an account but one; {@code keep} is "" to end them all. */
    void out(UUID account, String keep) {
        for (String session : sessions.findByPrincipalName(account.toString()).keySet())
            if (!session.equals(keep)) sessions.deleteById(session);
    }
}
