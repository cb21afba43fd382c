package plainlantern.studio.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;

/** Tokens against foreign forms: a member's lies in the session; a stranger's in a cookie, so that nothing is stored for strangers. */
class CsrfTokens implements CsrfTokenRepository {
    private final HttpSessionCsrfTokenRepository session = new HttpSessionCsrfTokenRepository();
    private final CookieCsrfTokenRepository cookie = new CookieCsrfTokenRepository();

    CsrfTokens() {
        cookie.setCookieName("lantern-door");
        cookie.setHeaderName("X-CSRF-TOKEN");
        cookie.setCookieCustomizer(c -> c.httpOnly(true).sameSite("Strict").path("/"));
    }

    private CsrfTokenRepository of(HttpServletRequest request) {
        return request.getSession(false) == null ? cookie : session;
    }

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        return of(request).generateToken(request);
    }

    @Override
    public void saveToken(CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        of(request).saveToken(token, request, response);
    }

    @Override
    public CsrfToken loadToken(HttpServletRequest request) {
        return of(request).loadToken(request);
    }
}
