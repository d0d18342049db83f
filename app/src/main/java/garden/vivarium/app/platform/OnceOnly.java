package garden.vivarium.app.platform;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.support.RequestContextUtils;

/** A form that is sent twice counts once: the second leads where the first led, and is refused as the first was where that changed nothing. */
@Component
class OnceOnly implements HandlerInterceptor {

    private static final int ASKED = 100;
    private static final int EVERY_MS = 100;
    /** Where a form leads that is done, but whose node ended before it said where. */
    private static final String DONE_ALREADY = "/round";

    /** What is done is answered a moment later, unless its node has ended. */
    private static final int ANSWERED_WITHIN = 20;

    /** Of a request: the form that it has taken. */
    static final String TAKEN = OnceOnly.class.getName();

    private final SentForms forms;
    private final CurrentNursery nursery;

    OnceOnly(SentForms forms, CurrentNursery nursery) {
        this.forms = forms;
        this.nursery = nursery;
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        Optional<UUID> form = form(request);
        if (form.isEmpty() || nursery.id().isEmpty() || request.getDispatcherType() != DispatcherType.REQUEST) {
            return true;
        }
        SentForms.Form sent = new SentForms.Form(nursery.required(), form.get());
        int done = 0;
        for (int i = 0; i < ASKED; i++) {
            if (forms.take(sent)) {
                request.setAttribute(TAKEN, sent);
                return true;
            }
            // Whoever has it leads somewhere with it, or lets it go: then it is sent anew.
            SentForms.State state = forms.state(sent);
            while (i++ < ASKED
                    && (state == SentForms.State.TAKEN
                            || (state == SentForms.State.KEPT && done++ < ANSWERED_WITHIN))) {
                rest();
                state = forms.state(sent);
            }
            if (state == SentForms.State.ANSWERED || state == SentForms.State.KEPT) {
                response.sendRedirect(forms.answer(sent).orElseGet(() -> doneAlready(request, response)));
                return false;
            }
        }
        response.sendError(HttpStatus.CONFLICT.value());
        return false;
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception failure) {
        if (!(request.getAttribute(TAKEN) instanceof SentForms.Form form)) {
            return;
        }
        request.removeAttribute(TAKEN);
        String led = response.getHeader(HttpHeaders.LOCATION);
        if (failure == null
                && led != null
                && HttpStatus.valueOf(response.getStatus()).is3xxRedirection()) {
            forms.done(form, led);
        } else {
            forms.release(form);
        }
    }

    private static String doneAlready(HttpServletRequest request, HttpServletResponse response) {
        RequestContextUtils.getOutputFlashMap(request).put("said", Messages.text("OnceOnly.done"));
        RequestContextUtils.saveOutputFlashMap(DONE_ALREADY, request, response);
        return DONE_ALREADY;
    }

    private static void rest() {
        try {
            Thread.sleep(EVERY_MS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static Optional<UUID> form(HttpServletRequest request) {
        String sent = HttpMethod.POST.matches(request.getMethod()) ? request.getParameter(FormIds.FIELD) : null;
        try {
            return Optional.ofNullable(sent).map(UUID::fromString);
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
