package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;
import org.springframework.stereotype.Component;

/** The cookie by which a browser keeps its session. */
@Component
class SessionCookies implements CookieSerializer {

    private final CookieNames names;

    SessionCookies(CookieNames names) {
        this.names = names;
    }

    @Override
    public void writeCookieValue(CookieValue value) {
        as(value.getRequest()).writeCookieValue(value);
    }

    @Override
    public List<String> readCookieValues(HttpServletRequest request) {
        return as(request).readCookieValues(request);
    }

    private DefaultCookieSerializer as(HttpServletRequest request) {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieName(names.session(request));
        cookie.setCookiePath("/");
        cookie.setUseHttpOnlyCookie(true);
        cookie.setUseSecureCookie(request.isSecure());
        cookie.setSameSite("Lax");
        return cookie;
    }
}
