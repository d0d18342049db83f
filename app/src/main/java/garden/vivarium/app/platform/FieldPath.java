package garden.vivarium.app.platform;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.validation.BindingResult;

/** Finds where in a form of parts a field stands, so that whoever refuses its value need not know the form. */
public final class FieldPath {

    private FieldPath() {}

    /** Says beside its field what is wrong; a field that the form does not have is said above it. */
    public static void reject(BindingResult wrong, Class<? extends Record> form, InvalidField problem) {
        Optional<String> path = of(form, problem.field());
        if (path.isPresent()) {
            wrong.rejectValue(path.get(), "problem", problem.getMessage());
        } else {
            wrong.reject("problem", problem.getMessage());
        }
    }

    /** The field itself, without the parts that it stands in. */
    static String last(String path) {
        return path.substring(path.lastIndexOf('.') + 1);
    }

    /** The path of the field within the form or its parts, as "cut.takenOn"; empty where there is none. */
    static Optional<String> of(Class<?> form, String field) {
        return Arrays.stream(form.getRecordComponents())
                .flatMap(c -> below(c, field))
                .findFirst();
    }

    private static Stream<String> below(RecordComponent component, String field) {
        // A part has no place of its own on the page, though it may be called as a field is elsewhere.
        if (component.getType().isRecord()) {
            return of(component.getType(), field).map(p -> component.getName() + "." + p).stream();
        }
        return component.getName().equals(field) ? Stream.of(field) : Stream.empty();
    }
}
