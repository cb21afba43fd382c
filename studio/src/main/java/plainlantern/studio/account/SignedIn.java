package plainlantern.studio.account;

import java.util.List;
import org.springframework.security.authentication.AbstractAuthenticationToken;

/** That a member has signed in. Sessions are found by its name, the account's id. */
public final class SignedIn extends AbstractAuthenticationToken {
    private final Member member;

    public SignedIn(Member member) {
        super(List.of());
        this.member = member;
        setAuthenticated(true);
    }

    @Override
    public Member getPrincipal() {
        return member;
    }

    @Override
    public Object getCredentials() {
        return "";
    }

    @Override
    public String getName() {
        return member.id().toString();
    }
}
