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

/** A form that is sent twice counts once: the second leads where the first led, and is refused as the first was where that changed nothing. */
@Component
class OnceOnly implements HandlerInterceptor {

    private static final int ASKED = 100;
    private static final int EVERY_MS = 100;
    private static final String TAKEN = OnceOnly.class.getName();

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
        UUID of = nursery.required();
        for (int i = 0; i < ASKED; i++) {
            if (forms.take(of, form.get())) {
                request.setAttribute(TAKEN, form.get());
                return true;
            }
            // Whoever has it leads somewhere with it, or lets it go: then it is sent anew.
            while (i++ < ASKED && forms.isWorkedOn(of, form.get())) {
                rest();
            }
            Optional<String> led = forms.answer(of, form.get());
            if (led.isPresent()) {
                response.sendRedirect(led.get());
                return false;
            }
        }
        response.sendError(HttpStatus.CONFLICT.value());
        return false;
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception failure) {
        if (!(request.getAttribute(TAKEN) instanceof UUID form)) {
            return;
        }
        request.removeAttribute(TAKEN);
        String led = response.getHeader(HttpHeaders.LOCATION);
        if (failure == null
                && led != null
                && HttpStatus.valueOf(response.getStatus()).is3xxRedirection()) {
            forms.done(nursery.required(), form, led);
        } else {
            forms.release(nursery.required(), form);
        }
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
