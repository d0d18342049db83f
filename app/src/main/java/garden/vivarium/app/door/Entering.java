package garden.vivarium.app.door;

import garden.vivarium.app.people.Invitations;
import garden.vivarium.app.platform.CookieNames;
import garden.vivarium.app.platform.HalfSignedIn;
import garden.vivarium.app.platform.SignedIn;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.SavedRequestAwareAuthenticationSuccessHandler;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.savedrequest.RequestCache;
import org.springframework.stereotype.Component;

/** What happens when somebody comes in: it is written down, the browser is known from now on, and they go on to what they asked for. */
@Component
class Entering implements AuthenticationSuccessHandler {

    private final KnownBrowsers browsers;
    private final DoorBook book;
    private final CookieNames cookies;
    private final Invitations invitations;
    private final SavedRequestAwareAuthenticationSuccessHandler onward =
            new SavedRequestAwareAuthenticationSuccessHandler();
    private final SecurityContextRepository contexts = new HttpSessionSecurityContextRepository();

    Entering(KnownBrowsers browsers, DoorBook book, CookieNames cookies, Invitations invitations, RequestCache asked) {
        this.invitations = invitations;
        this.browsers = browsers;
        this.book = book;
        this.cookies = cookies;
        onward.setRequestCache(asked);
        onward.setDefaultTargetUrl("/round");
    }

    @Override
    public void onAuthenticationSuccess(
            HttpServletRequest request, HttpServletResponse response, Authentication authentication)
            throws IOException, ServletException {
        if (authentication.getPrincipal() instanceof HalfSignedIn) {
            response.sendRedirect(request.getContextPath() + "/sign-in/code");
            return;
        }
        if (authentication.getPrincipal() instanceof SignedIn who) {
            note(request, response, who);
        }
        goOn(request, response, authentication);
    }

    /** To what was asked for; first to what somebody else asks of them, where there is such. */
    private void goOn(HttpServletRequest request, HttpServletResponse response, Authentication who)
            throws IOException, ServletException {
        if (who.getPrincipal() instanceof SignedIn p
                && !invitations.sentTo(p.signInName()).isEmpty()) {
            response.sendRedirect(request.getContextPath() + "/invitations");
            return;
        }
        onward.onAuthenticationSuccess(request, response, who);
    }

    /** The second factor was right too: now they are in. */
    void enter(HttpServletRequest request, HttpServletResponse response, SignedIn who)
            throws IOException, ServletException {
        request.changeSessionId();
        Authentication whole = UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(whole);
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        note(request, response, who);
        goOn(request, response, whole);
    }

    private void note(HttpServletRequest request, HttpServletResponse response, SignedIn who) {
        String browser = BrowserName.of(request.getHeader(HttpHeaders.USER_AGENT));
        request.getSession().setAttribute(Sessions.BROWSER, browser);
        String token = browsers.remember(
                who.personId(), AtTheDoor.token(request, cookies).orElse(""), browser);
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(cookies.of(AtTheDoor.PURPOSE, request), token)
                        .path("/")
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Lax")
                        .maxAge(KnownBrowsers.KEPT)
                        .build()
                        .toString());
        book.write(who.nurseryId(), DoorBook.What.SIGNED_IN, who.name(), "", browser);
    }
}
