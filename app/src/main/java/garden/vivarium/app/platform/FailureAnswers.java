package garden.vivarium.app.platform;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import org.apache.catalina.connector.ClientAbortException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.DispatcherServlet;
import org.springframework.web.util.HtmlUtils;

/**
 * Whatever fails on the way of a request is answered here, outermost, by what needs nothing that can fail: no database, session or template,
 * only pages that were read at the start. Nothing that failed reaches the container, so that no failure ends as an empty answer.
 */
@Configuration
class FailureAnswers {

    private static final Logger LOG = LoggerFactory.getLogger(FailureAnswers.class);
    private static final String SECONDS = "10";

    @Bean
    WhoAsks whoAsks(CookieNames names) {
        return new WhoAsks(names);
    }

    /** It has its place among the rules of who may do what, and not before them. */
    @Bean
    FilterRegistrationBean<WhoAsks> whoAsksOnlyThere(WhoAsks who) {
        FilterRegistrationBean<WhoAsks> nowhereElse = new FilterRegistrationBean<>(who);
        nowhereElse.setEnabled(false);
        return nowhereElse;
    }

    @Bean
    FilterRegistrationBean<OncePerRequestFilter> answersWhatFails(Assets assets, DiskSpace disk, WhoAsks who)
            throws IOException {
        FilterRegistrationBean<OncePerRequestFilter> filter = new FilterRegistrationBean<>(new Answering(
                new Said(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        "gone",
                        "the database does not answer",
                        page("The database does not answer", "database-gone.html", assets)),
                new Said(
                        HttpStatus.INSUFFICIENT_STORAGE,
                        "full",
                        "the disk is full, and what was sent is not kept",
                        page("The disk is full", "disk-full.html", assets)),
                new Said(
                        HttpStatus.INTERNAL_SERVER_ERROR,
                        "unknown",
                        "something broke on our side, and what was sent is not known to be kept",
                        page("Something broke on our side", "broken.html", assets)),
                disk,
                who));
        filter.setOrder(Ordered.HIGHEST_PRECEDENCE);
        filter.setDispatcherTypes(EnumSet.of(DispatcherType.REQUEST, DispatcherType.ASYNC, DispatcherType.ERROR));
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

    private static final class Answering extends OncePerRequestFilter {

        private final Said gone;
        private final Said full;
        private final Said broken;
        private final Said unanswered;
        private final DiskSpace disk;
        private final WhoAsks who;

        private Answering(Said gone, Said full, Said broken, DiskSpace disk, WhoAsks who) {
            this.who = who;
            this.gone = gone;
            this.full = full;
            this.broken = broken;
            this.unanswered =
                    new Said(HttpStatus.SERVICE_UNAVAILABLE, broken.inAWord(), broken.sentence(), broken.page());
            this.disk = disk;
        }

        @Override
        protected boolean shouldNotFilterErrorDispatch() {
            return false;
        }

        @Override
        protected boolean shouldNotFilterAsyncDispatch() {
            return false;
        }

        @Override
        protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain next)
                throws ServletException, IOException {
            if (SessionEnd.isTheSameForEverybody(request)) {
                // The mark by which the session filter knows that it has been passed: no session is looked up.
                request.setAttribute(SessionRepositoryFilter.class.getName() + ".FILTERED", Boolean.TRUE);
            }
            if (HttpMethod.GET.matches(request.getMethod()) || HttpMethod.HEAD.matches(request.getMethod())) {
                answer(request, response, next);
            } else {
                // Nothing is said of a write before all of it is over, the session too: what began as 200 could not be
                // taken back.
                WholeAnswer whole = new WholeAnswer(response);
                answer(request, whole, next);
                if (whole.isAnEmptyYes()) {
                    LOG.error(
                            "A write ended without an answer: {} {}, {} dispatch, handled {}",
                            request.getMethod(),
                            request.getRequestURI(),
                            request.getDispatcherType(),
                            request.getAttribute(DispatcherServlet.EXCEPTION_ATTRIBUTE));
                    say(unanswered, request, whole);
                }
                whole.send();
            }
        }

        private void answer(HttpServletRequest request, HttpServletResponse response, FilterChain next)
                throws ServletException, IOException {
            try {
                next.doFilter(request, response);
            } catch (ServletException | IOException | RuntimeException | Error e) {
                if (!canStillBeSaid(response) || e instanceof ClientAbortException) {
                    // Nobody listens any more; or half an answer is out, and the container alone can break it off, so
                    // that nobody takes
                    // it for a whole one.
                    throw e;
                }
                say(kindOf(e), request, response);
            }
        }

        private static boolean canStillBeSaid(HttpServletResponse response) {
            return response instanceof WholeAnswer whole ? whole.canStillBeTakenBack() : !response.isCommitted();
        }

        private Said kindOf(Throwable e) {
            boolean lost = LostConnection.isCauseOf(e);
            if (DiskFull.isCauseOf(e) || (lost && disk.isFull())) {
                LOG.error("The disk is full: {}", e.getMessage());
                return full;
            }
            if (lost) {
                LOG.error("The database is gone: {}", e.getMessage());
                return gone;
            }
            LOG.error("A request failed", e);
            return broken;
        }

        private void say(Said said, HttpServletRequest request, HttpServletResponse response) throws IOException {
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
            } else if (isOfAProgram(request)) {
                response.setContentType(MediaType.APPLICATION_JSON_VALUE);
                response.getWriter()
                        .write("{\"status\":%d,\"message\":\"%s\"}"
                                .formatted(said.status().value(), said.sentence()));
            } else {
                response.setContentType(MediaType.TEXT_HTML_VALUE);
                response.getWriter().write(said.page().replace("ROOM", said == full ? room(request) : ""));
            }
        }

        /** How much is free and where: told to owners alone. */
        private String room(HttpServletRequest request) {
            return who.isOwner(request)
                    ? "<p class=\"mt-3 max-w-prose\">%s</p>".formatted(HtmlUtils.htmlEscape(disk.said()))
                    : "";
        }

        private static boolean isOfAProgram(HttpServletRequest request) {
            return String.valueOf(request.getHeader(HttpHeaders.ACCEPT)).contains(MediaType.APPLICATION_JSON_VALUE)
                    || String.valueOf(request.getContentType()).startsWith(MediaType.APPLICATION_JSON_VALUE);
        }
    }
}
