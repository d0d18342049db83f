package garden.vivarium.app.platform;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.ResponseCookie;
import org.springframework.security.web.savedrequest.RequestCache;
import org.springframework.security.web.savedrequest.SavedRequest;
import org.springframework.security.web.savedrequest.SimpleSavedRequest;
import org.springframework.stereotype.Component;

/**
 * The page that somebody asked for before they signed in, kept in their browser. Its path alone: whoever may set a cookie of ours leads nobody
 * to another host by it.
 */
@Component
class AskedBefore implements RequestCache {

    private static final int LONGEST = 2000;

    private final CookieNames names;

    AskedBefore(CookieNames names) {
        this.names = names;
    }

    @Override
    public void saveRequest(HttpServletRequest request, HttpServletResponse response) {
        boolean page = HttpMethod.GET.matches(request.getMethod())
                && Optional.ofNullable(request.getHeader(HttpHeaders.ACCEPT))
                        .filter(a -> a.contains("text/html"))
                        .isPresent();
        String path =
                request.getRequestURI() + (request.getQueryString() == null ? "" : "?" + request.getQueryString());
        if (page && isOfOurs(path)) {
            write(Base64.getUrlEncoder().encodeToString(path.getBytes(StandardCharsets.UTF_8)), -1, request, response);
        }
    }

    @Override
    public SavedRequest getRequest(HttpServletRequest request, HttpServletResponse response) {
        return Stream.ofNullable(request.getCookies())
                .flatMap(Arrays::stream)
                .filter(c -> c.getName().equals(name(request)))
                .map(Cookie::getValue)
                .map(AskedBefore::path)
                .filter(AskedBefore::isOfOurs)
                .findFirst()
                .map(SimpleSavedRequest::new)
                .orElse(null);
    }

    /** Only GET is kept, and a page that is asked for anew needs nothing of what was asked before. */
    @Override
    public HttpServletRequest getMatchingRequest(HttpServletRequest request, HttpServletResponse response) {
        return null;
    }

    @Override
    public void removeRequest(HttpServletRequest request, HttpServletResponse response) {
        write("", 0, request, response);
    }

    private void write(String value, long seconds, HttpServletRequest request, HttpServletResponse response) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(name(request), value)
                        .path("/")
                        .httpOnly(true)
                        .secure(request.isSecure())
                        .sameSite("Lax")
                        .maxAge(seconds)
                        .build()
                        .toString());
    }

    private String name(HttpServletRequest request) {
        return names.of("asked", request);
    }

    private static String path(String kept) {
        try {
            return new String(Base64.getUrlDecoder().decode(kept), StandardCharsets.UTF_8);
        } catch (IllegalArgumentException notOurs) {
            return "";
        }
    }

    private static boolean isOfOurs(String path) {
        return path.length() <= LONGEST && path.matches("/(?![/\\\\])[^\\s\\\\]*");
    }
}
