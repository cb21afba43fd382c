package plainlantern.studio.account;

import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/** Lets members in by name and password. */
@Component
class Door implements AuthenticationProvider {
    private final AccountStore accounts;
    private final Passwords passwords;
    private final Tries tries;
    /** Comparing a password is made to be slow: so many at once leave the others their processors. */
    private final Semaphore room = new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() / 2), true);

    Door(AccountStore accounts, Passwords passwords, Tries tries) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.tries = tries;
    }

    @Override
    public Authentication authenticate(Authentication asked) {
        String name = asked.getName().strip();
        String address = asked.getDetails() instanceof WebAuthenticationDetails details ? String.valueOf(details.getRemoteAddress()) : "";
        Optional<Member> member = name.isEmpty() || name.length() > 200 || name.indexOf('\0') >= 0 ? Optional.empty() : accounts.find(name);
        if (!right(member, name, String.valueOf(asked.getCredentials()), address))
            throw new BadCredentialsException("Name or password is wrong.");
        SecurityLog.said("sign-in", member.get().id(), address);
        SignedIn in = new SignedIn(member.get());
        in.setDetails(asked.getDetails());
        return in;
    }

    /** Whether a password is that of a member who is signed in; throws {@link LockedException} after too many tries. */
    boolean right(Member member, String password, String address) {
        return right(Optional.of(member), member.signIn(), password, address);
    }

    private boolean right(Optional<Member> member, String name, String password, String address) {
        if (!tries.password(name.replace('\0', ' '), address)) {
            SecurityLog.said("password refused, too many tries,", member.map(Member::id).orElse(null), address);
            throw new LockedException("Too many tries.");
        }
        try {
            if (!room.tryAcquire(10, TimeUnit.SECONDS)) throw new LockedException("Too many sign in at once.");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new LockedException("The server is stopping.");
        }
        try {
            boolean right = passwords.right(password, member.flatMap(m -> accounts.hash(m.id())).orElse(null));
            if (right) tries.right(name, address);
            else SecurityLog.said("wrong password", member.map(Member::id).orElse(null), address);
            return right;
        } finally {
            room.release();
        }
    }

    @Override
    public boolean supports(Class<?> kind) {
        return UsernamePasswordAuthenticationToken.class.isAssignableFrom(kind);
    }
}
