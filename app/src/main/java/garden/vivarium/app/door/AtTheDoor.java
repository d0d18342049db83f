package garden.vivarium.app.door;

import garden.vivarium.app.platform.CookieNames;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.security.web.authentication.WebAuthenticationDetails;

/** Where somebody signs in from: the address, the browser, and the token that the browser has kept if one was signed in there before. */
final class AtTheDoor extends WebAuthenticationDetails {

    /** Of the cookie that a known browser keeps. */
    static final String PURPOSE = "known";

    private static final long serialVersionUID = 1;
    private static final int LONGEST_TOKEN = 100;

    private final String token;
    private final String browser;

    AtTheDoor(HttpServletRequest request, CookieNames names) {
        super(request);
        this.token = token(request, names).orElse("");
        this.browser = BrowserName.of(request.getHeader(HttpHeaders.USER_AGENT));
    }

    /** The token that a request brings along. */
    static Optional<String> token(HttpServletRequest request, CookieNames names) {
        String name = names.of(PURPOSE, request);
        return Stream.ofNullable(request.getCookies())
                .flatMap(Arrays::stream)
                .filter(c -> c.getName().equals(name))
                .map(Cookie::getValue)
                .filter(t -> !t.isBlank() && t.length() <= LONGEST_TOKEN)
                .findFirst();
    }

    Optional<String> token() {
        return Optional.of(token).filter(t -> !t.isEmpty());
    }

    String browser() {
        return browser;
    }

    @Override
    public boolean equals(Object other) {
        return super.equals(other) && other instanceof AtTheDoor d && d.token.equals(token);
    }

    @Override
    public int hashCode() {
        return super.hashCode() * 31 + token.hashCode();
    }
}
