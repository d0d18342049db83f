package garden.vivarium.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Locale;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses what would write and was sent by a page that is not of ours, as the browser itself says by {@code Sec-Fetch-Site} and {@code Origin}:
 * a page at another port of the same computer shares our cookies and is not of ours. Where neither is said the form's token decides alone.
 */
class SameOrigin extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(SameOrigin.class);
    private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS", "TRACE");

    /** By the page itself, or by a person without any page. */
    private static final Set<String> OURS = Set.of("same-origin", "none");

    private static final int HTTP = 80;
    private static final int HTTPS = 443;

    private final PublicAddress address;

    SameOrigin(PublicAddress address) {
        this.address = address;
    }

    /** Loggers have a token of their own and no session. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return READS.contains(request.getMethod()) || request.getRequestURI().equals("/readings");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        String site = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        if ((site == null || OURS.contains(site)) && (origin == null || isOurs(origin, request))) {
            next.doFilter(request, response);
            return;
        }
        LOG.warn("A write from another origin was refused: {} {}", request.getMethod(), request.getRequestURI());
        request.setAttribute(ErrorPages.TITLE, Messages.text("SameOrigin.title"));
        request.setAttribute(ErrorPages.SAID, Messages.text("SameOrigin.text"));
        response.sendError(HttpStatus.FORBIDDEN.value());
    }

    private boolean isOurs(String origin, HttpServletRequest request) {
        String asked = origin(request.getScheme(), request.getServerName(), request.getServerPort());
        String theirs = origin(origin);
        return theirs.equals(asked) || theirs.equals(origin(address.root()));
    }

    /** Scheme, host and port as one; of what is none, a word that no origin of ours equals. */
    private static String origin(String address) {
        try {
            URI uri = URI.create(address);
            return uri.getHost() == null ? "none" : origin(uri.getScheme(), uri.getHost(), uri.getPort());
        } catch (IllegalArgumentException notOne) {
            return "none";
        }
    }

    private static String origin(String scheme, String host, int port) {
        int usual = "https".equalsIgnoreCase(scheme) ? HTTPS : HTTP;
        return "%s://%s:%d".formatted(scheme, host, port > 0 ? port : usual).toLowerCase(Locale.ROOT);
    }
}
