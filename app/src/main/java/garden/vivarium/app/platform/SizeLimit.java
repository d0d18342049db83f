package garden.vivarium.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses JSON that is larger than any check can be, or that does not say how large it is, before it is read. Forms and
 * files have limits of their own.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class SizeLimit extends OncePerRequestFilter {

    /** What any check of a batch, or what a logger sends at once, has room in. */
    public static final long MOST_BYTES = 1_000_000;

    /** What loggers send is measured once it is known whose it is. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getRequestURI().equals("/readings");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        String kind = request.getContentType();
        boolean json = kind != null && kind.toLowerCase(Locale.ROOT).contains("json");
        if (json && request.getContentLengthLong() < 0) {
            refuse(HttpStatus.LENGTH_REQUIRED, "it does not say how large it is", response);
        } else if (json && request.getContentLengthLong() > MOST_BYTES) {
            refuse(HttpStatus.PAYLOAD_TOO_LARGE, "it is larger than any check can be", response);
        } else {
            next.doFilter(request, response);
        }
    }

    private static void refuse(HttpStatus status, String message, HttpServletResponse response) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getWriter().write("{\"status\":%d,\"message\":\"%s\"}".formatted(status.value(), message));
    }
}
