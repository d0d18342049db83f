package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;
import org.springframework.stereotype.Component;

/**
 * The tokens that forms are sent with. Once somebody is signed in a token belongs to their session, where no other page can put one;
 * before that it is in a cookie, so that who only looks at the door leaves no session behind.
 */
@Component
class FormTokens implements CsrfTokenRepository {

    private static final String HEADER = "X-CSRF-TOKEN";

    private final CookieNames names;
    private final HttpSessionCsrfTokenRepository sessions = new HttpSessionCsrfTokenRepository();

    FormTokens(CookieNames names) {
        this.names = names;
    }

    @Override
    public CsrfToken generateToken(HttpServletRequest request) {
        return in(request).generateToken(request);
    }

    @Override
    public void saveToken(CsrfToken token, HttpServletRequest request, HttpServletResponse response) {
        in(request).saveToken(token, request, response);
    }

    @Override
    public CsrfToken loadToken(HttpServletRequest request) {
        return in(request).loadToken(request);
    }

    private CsrfTokenRepository in(HttpServletRequest request) {
        return isSignedIn(request) ? sessions : cookies(request);
    }

    private static boolean isSignedIn(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session != null
                && session.getAttribute(HttpSessionSecurityContextRepository.SPRING_SECURITY_CONTEXT_KEY)
                        instanceof SecurityContext context
                && context.getAuthentication() != null
                && context.getAuthentication().getPrincipal() instanceof SignedIn;
    }

    private CookieCsrfTokenRepository cookies(HttpServletRequest request) {
        CookieCsrfTokenRepository cookies = new CookieCsrfTokenRepository();
        // Script sends a token under the same header wherever it is kept.
        cookies.setHeaderName(HEADER);
        cookies.setCookieName(names.of("form", request));
        cookies.setCookiePath("/");
        cookies.setCookieCustomizer(c -> c.httpOnly(true).sameSite("Lax").secure(request.isSecure()));
        return cookies;
    }
}
