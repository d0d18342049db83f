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
 * Where the database does not answer, or nothing can be kept since the disk is full, every address says so in one page that asks
 * nothing of it. It stands before everything, since even who somebody is comes from the database.
 */
@Configuration
class DatabaseGone {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseGone.class);
    private static final String SECONDS = "10";

    @Bean
    FilterRegistrationBean<OncePerRequestFilter> saysThatTheDatabaseIsGone(Assets assets) throws IOException {
        Said gone = new Said(
                HttpStatus.SERVICE_UNAVAILABLE,
                "gone",
                "the database does not answer",
                page("The database does not answer", "database-gone.html", assets));
        Said full = new Said(
                HttpStatus.INSUFFICIENT_STORAGE,
                "full",
                "the disk is full, and what was sent is not kept",
                page("The disk is full", "disk-full.html", assets));
        FilterRegistrationBean<OncePerRequestFilter> filter = new FilterRegistrationBean<>(new Saying(gone, full));
        filter.setOrder(Ordered.HIGHEST_PRECEDENCE);
        filter.setDispatcherTypes(EnumSet.of(DispatcherType.REQUEST, DispatcherType.ERROR));
        return filter;
    }

    private static String page(String title, String says, Assets assets) throws IOException {
        return read("out-of-order.html")
                .replace("STYLES", assets.at("vivarium.css"))
                .replace("TITLE", title)
                .replace("MAIN", read(says));
    }

    private static String read(String name) throws IOException {
        return new ClassPathResource("templates/platform/" + name).getContentAsString(StandardCharsets.UTF_8);
    }

    /** How it is said: to supervisors in a word, to programs in a sentence, to people on a page. */
    private record Said(HttpStatus status, String inAWord, String sentence, String page) {}

    private static final class Saying extends OncePerRequestFilter {

        private final Said gone;
        private final Said full;

        private Saying(Said gone, Said full) {
            this.gone = gone;
            this.full = full;
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
                boolean isFull = DiskFull.isCauseOf(e);
                if ((!isFull && !isDatabaseGone(e)) || response.isCommitted()) {
                    throw e;
                }
                LOG.error("{}: {}", isFull ? "The disk is full" : "The database is gone", e.getMessage());
                say(isFull ? full : gone, request, response);
            }
        }

        private static void say(Said said, HttpServletRequest request, HttpServletResponse response)
                throws IOException {
            response.reset();
            response.setStatus(said.status().value());
            response.setHeader(HttpHeaders.RETRY_AFTER, SECONDS);
            response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
            response.setHeader("Content-Security-Policy", SecurityRules.CONTENT_POLICY);
            response.setHeader("X-Content-Type-Options", "nosniff");
            response.setCharacterEncoding(StandardCharsets.UTF_8.name());
            if (request.getRequestURI().equals(HealthController.ADDRESS)) {
                response.setContentType(MediaType.APPLICATION_JSON_VALUE);
                response.getWriter().write("{\"status\":\"down\",\"database\":\"%s\"}".formatted(said.inAWord()));
            } else if (String.valueOf(request.getHeader(HttpHeaders.ACCEPT))
                    .contains(MediaType.APPLICATION_JSON_VALUE)) {
                response.setContentType(MediaType.APPLICATION_JSON_VALUE);
                response.getWriter()
                        .write("{\"status\":%d,\"message\":\"%s\"}"
                                .formatted(said.status().value(), said.sentence()));
            } else {
                response.setContentType(MediaType.TEXT_HTML_VALUE);
                response.getWriter().write(said.page());
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
