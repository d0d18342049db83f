package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * An answer of which nothing leaves before it is whole, a refusal or a way onward neither: whatever fails until then can still be said in its
 * place.
 */
final class WholeAnswer extends ContentCachingResponseWrapper {

    private int refusal;
    private String why;
    private String onward;

    WholeAnswer(HttpServletResponse response) {
        super(response);
    }

    @Override
    public void sendError(int status) {
        sendError(status, null);
    }

    @Override
    public void sendError(int status, String message) {
        resetBuffer();
        refusal = status;
        why = message;
        super.setStatus(status);
    }

    @Override
    public void sendRedirect(String location) {
        resetBuffer();
        onward = location;
        super.setStatus(HttpStatus.FOUND.value());
        super.setHeader("Location", location);
    }

    @Override
    public void reset() {
        super.reset();
        refusal = 0;
        onward = null;
    }

    /** What is refused or leads on is done, as far as whoever answers is concerned. */
    @Override
    public boolean isCommitted() {
        return refusal != 0 || onward != null || super.isCommitted();
    }

    /** Whether something can still be said in its place. */
    boolean canStillBeTakenBack() {
        return !super.isCommitted();
    }

    /** Whether it says that all is well, and nothing else: no answer of ours to a write does. */
    boolean isAnEmptyYes() {
        return refusal == 0 && onward == null && getStatus() == HttpStatus.OK.value() && getContentSize() == 0;
    }

    /** It is whole. */
    void send() throws IOException {
        HttpServletResponse response = (HttpServletResponse) getResponse();
        if (refusal != 0) {
            if (why == null) {
                response.sendError(refusal);
            } else {
                response.sendError(refusal, why);
            }
        } else if (onward != null) {
            response.sendRedirect(onward);
        } else {
            copyBodyToResponse();
        }
    }
}
