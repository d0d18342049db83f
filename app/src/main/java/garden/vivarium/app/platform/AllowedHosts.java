package garden.vivarium.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Where it is said under which names this installation is found, whoever asks under another gets nothing: so that no page is shown, and no
 * address written, under a name that somebody else chose. A supervisor may ask for its health under any.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class AllowedHosts extends OncePerRequestFilter {

    /** Of RFC 9110, section 15.5.20. */
    private static final int MISDIRECTED = 421;

    private final Set<String> names;

    AllowedHosts(@Value("${vivarium.hosts:}") String names) {
        this.names = Stream.of(names.split(","))
                .map(n -> n.strip().toLowerCase(Locale.ROOT))
                .filter(n -> !n.isEmpty())
                .collect(Collectors.toUnmodifiableSet());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        if (names.isEmpty()
                || request.getRequestURI().equals("/health")
                || names.contains(request.getServerName().toLowerCase(Locale.ROOT))) {
            next.doFilter(request, response);
        } else {
            response.setStatus(MISDIRECTED);
        }
    }
}
