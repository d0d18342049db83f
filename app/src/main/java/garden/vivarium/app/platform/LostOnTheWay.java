package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.ModelAndView;

/**
 * Keeps a lost database from being taken for a client that hung up: its driver ends with the same {@code EOFException}, for which Spring's own
 * resolver answers nothing at all, with status 200.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LostOnTheWay implements HandlerExceptionResolver {

    /** Passes it on to {@link FailureAnswers}; anything else is for the next resolver. */
    @Override
    public ModelAndView resolveException(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception failure) {
        if (LostConnection.isCauseOf(failure) || DiskFull.isCauseOf(failure)) {
            throw new IllegalStateException("the database was lost on the way", failure);
        }
        return null;
    }
}
