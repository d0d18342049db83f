package garden.vivarium.app.platform;

import java.util.stream.Collectors;
import org.springframework.validation.BindingResult;
import org.springframework.validation.FieldError;

/**
 * A form that no page of ours can have sent: a number without digits, a day that is none. Browsers' own fields do not send
 * such; it is answered with a page that names the fields.
 */
public class UnreadableForm extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private UnreadableForm(String fields) {
        super(fields);
    }

    /** Refuses a form some of whose values could not be read at all; Spring then has no whole form to show again. */
    public static void refuse(Object form, BindingResult wrong) {
        String fields = wrong.getFieldErrors().stream()
                .filter(FieldError::isBindingFailure)
                .map(FieldError::getField)
                .distinct()
                .collect(Collectors.joining(", "));
        if (form == null || !fields.isEmpty()) {
            throw new UnreadableForm(fields);
        }
    }
}
