package garden.vivarium.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Ends a session for good so long after it began, however busy it was: then one signs in anew. */
class SessionEnd extends OncePerRequestFilter {

    private final Duration longest;

    SessionEnd(Duration longest) {
        this.longest = longest;
    }

    /** What is the same for everybody needs no session, and so no database. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return isTheSameForEverybody(request);
    }

    /** Whether what is asked for depends on nobody's session. */
    static boolean isTheSameForEverybody(HttpServletRequest request) {
        String path = request.getRequestURI();
        return path.startsWith("/assets/")
                || path.equals("/favicon.svg")
                || path.equals("/worker.js")
                || path.equals("/health");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        HttpSession session = request.getSession(false);
        // Sessions are dated by the machine's clock, and so is their end.
        if (session != null
                && Instant.ofEpochMilli(session.getCreationTime()).plus(longest).isBefore(Instant.now())) {
            session.invalidate();
            SecurityContextHolder.clearContext();
        }
        next.doFilter(request, response);
    }
}
