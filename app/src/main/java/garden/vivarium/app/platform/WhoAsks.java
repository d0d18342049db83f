package garden.vivarium.app.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Remembers for a while whose sessions are owners', for an answer that is made where the database that knows is gone. */
class WhoAsks extends OncePerRequestFilter {

    private static final int MOST = 1000;
    private static final Duration KEPT = Duration.ofHours(2);

    private final CookieNames names;
    private final Cache<String, Boolean> owners =
            Caffeine.newBuilder().maximumSize(MOST).expireAfterWrite(KEPT).build();

    WhoAsks(CookieNames names) {
        this.names = names;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
            throws ServletException, IOException {
        if (!SessionEnd.isTheSameForEverybody(request)) {
            Authentication now = SecurityContextHolder.getContext().getAuthentication();
            boolean owner = now != null && now.getPrincipal() instanceof SignedIn who && who.role() == Role.OWNER;
            session(request).ifPresent(s -> {
                if (owner) {
                    owners.put(s, true);
                } else {
                    owners.invalidate(s);
                }
            });
        }
        next.doFilter(request, response);
    }

    /** Whether an owner asks, as far as it was known when they asked last. */
    boolean isOwner(HttpServletRequest request) {
        return session(request).filter(s -> owners.getIfPresent(s) != null).isPresent();
    }

    private Optional<String> session(HttpServletRequest request) {
        String name = names.session(request);
        return Stream.ofNullable(request.getCookies())
                .flatMap(Arrays::stream)
                .filter(c -> c.getName().equals(name))
                .map(Cookie::getValue)
                .map(SecretToken::hash)
                .findFirst();
    }
}
