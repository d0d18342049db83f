package garden.vivarium.app.platform;

import org.springframework.stereotype.Component;

/** How a form's fields are called in the page: the last part of their path. Templates call it as {@code @fieldIds}. */
@Component("fieldIds")
public class FieldIds {

    /** Of {@code cut.takenOn}, {@code takenOn}. */
    public String of(String path) {
        return FieldPath.last(path);
    }
}
