package garden.vivarium.app.platform;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.SQLException;
import java.util.EnumSet;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.io.ClassPathResource;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Where the database does not answer, every address says so in one page that asks nothing of it. It stands before everything, since
 * even who somebody is comes from the database.
 */
@Configuration
class DatabaseGone {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseGone.class);
    private static final String SECONDS = "10";

    @Bean
    FilterRegistrationBean<OncePerRequestFilter> saysThatTheDatabaseIsGone(Assets assets) throws IOException {
        String page = new ClassPathResource("templates/platform/database-gone.html")
                .getContentAsString(StandardCharsets.UTF_8)
                .replace("STYLES", assets.at("vivarium.css"));
        FilterRegistrationBean<OncePerRequestFilter> filter = new FilterRegistrationBean<>(new Saying(page));
        filter.setOrder(Ordered.HIGHEST_PRECEDENCE);
        filter.setDispatcherTypes(EnumSet.of(DispatcherType.REQUEST, DispatcherType.ERROR));
        return filter;
    }

    private static final class Saying extends OncePerRequestFilter {

        private final String page;

        private Saying(String page) {
            this.page = page;
        }

        @Override
        protected boolean shouldNotFilterErrorDispatch() {
            return false;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
                throws ServletException, IOException {
            if (SessionEnd.isTheSameForEverybody(request)) {
                // The mark by which the session filter knows that it has been passed: no session is looked up.
                request.setAttribute(SessionRepositoryFilter.class.getName() + ".FILTERED", Boolean.TRUE);
            }
            try {
                next.doFilter(request, response);
            } catch (ServletException | RuntimeException e) {
                if (!isDatabaseGone(e) || response.isCommitted()) {
                    throw e;
                }
                LOG.error("The database is gone: {}", e.getMessage());
                say(request, response);
            }
        }

        private void say(HttpServletRequest request, HttpServletResponse response) throws IOException {
            response.reset();
            response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
            response.setHeader(HttpHeaders.RETRY_AFTER, SECONDS);
            response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
            response.setHeader("Content-Security-Policy", SecurityRules.CONTENT_POLICY);
            response.setHeader("X-Content-Type-Options", "nosniff");
            response.setCharacterEncoding(StandardCharsets.UTF_8.name());
            if (String.valueOf(request.getHeader(HttpHeaders.ACCEPT)).contains(MediaType.APPLICATION_JSON_VALUE)) {
                response.setContentType(MediaType.APPLICATION_JSON_VALUE);
                response.getWriter().write("{\"status\":503,\"message\":\"the database does not answer\"}");
            } else {
                response.setContentType(MediaType.TEXT_HTML_VALUE);
                response.getWriter().write(page);
            }
        }
    }

    /** Whether a failure comes of a database that cannot be reached, rather than of what was asked of it. */
    static boolean isDatabaseGone(Throwable failure) {
        return Stream.iterate(failure, f -> f != null, Throwable::getCause)
                .limit(20)
                .anyMatch(f -> f instanceof DataAccessResourceFailureException
                        || f instanceof CannotCreateTransactionException
                        || (f instanceof SQLException s && isConnection(s.getSQLState())));
    }

    /** States of class 08, connection exceptions, and of a server that shuts down. */
    private static boolean isConnection(String state) {
        return state != null && (state.startsWith("08") || state.equals("70100"));
    }
}
