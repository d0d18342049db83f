package garden.vivarium.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses JSON that is larger than any check can be, or that does not say how large it is, before it is read. Forms and
 * files have limits of their own.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class SizeLimit extends OncePerRequestFilter {

    private static final long MOST_BYTES = 1_000_000;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        String kind = request.getContentType();
        boolean json = kind != null && kind.toLowerCase(Locale.ROOT).contains("json");
        if (json && request.getContentLengthLong() < 0) {
            response.setStatus(HttpStatus.LENGTH_REQUIRED.value());
        } else if (json && request.getContentLengthLong() > MOST_BYTES) {
            response.setStatus(HttpStatus.PAYLOAD_TOO_LARGE.value());
        } else {
            next.doFilter(request, response);
        }
    }
}
