package garden.vivarium.app.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Notes on a request who asks, for an answer that is made where nobody is known any more. */
class WhoAsks extends OncePerRequestFilter {

    private static final String OWNER = WhoAsks.class.getName() + ".owner";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        if (!SessionEnd.isTheSameForEverybody(request)) {
            Authentication now = SecurityContextHolder.getContext().getAuthentication();
            request.setAttribute(
                    OWNER, now != null && now.getPrincipal() instanceof SignedIn who && who.role() == Role.OWNER);
        }
        next.doFilter(request, response);
    }

    /** Whether an owner asks, as far as it was found out before the request failed. */
    static boolean isOwner(HttpServletRequest request) {
        return Boolean.TRUE.equals(request.getAttribute(OWNER));
    }
}
