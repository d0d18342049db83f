package garden.vivarium.app.door;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.authentication.AuthenticationServiceException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.stereotype.Component;

/** Back to the door, which says why: wrong, too often and for how long yet, or many at once. */
@Component
class NotLetIn implements AuthenticationFailureHandler {

    @Override
    public void onAuthenticationFailure(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException failure)
            throws IOException {
        response.sendRedirect(request.getContextPath() + "/sign-in?" + why(failure));
    }

    private static String why(AuthenticationException failure) {
        if (failure instanceof TooManyTries t) {
            return "wait=" + Waiting.seconds(t.waits());
        }
        return failure instanceof AuthenticationServiceException ? "many" : "wrong";
    }
}
