package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * What the writer of a form had before them. A form that changes something shared carries its mark, a name and a version, in the
 * field {@code seen}; whoever changes the thing holds that against the version of now. Work without a form saw nothing, and is
 * not held against anything.
 */
@Component
public class Seen {

    /** The field of a form that holds the mark. */
    public static final String FIELD = "seen";

    /** The mark of a thing in a version, for a form. */
    public static String mark(String what, long version) {
        return what + ":" + version;
    }

    /**
     * Holds what was seen against what is.
     *
     * @param what the thing that is about to be changed
     * @param version the version that it has now
     * @param stands how it stands now, in a sentence; asked only where it clashes
     * @throws Clash if the form was made from another version
     */
    public void check(String what, long version, Supplier<String> stands) {
        boolean clashes = sent().filter(mark -> mark.startsWith(what + ":"))
                .filter(mark -> !mark.equals(mark(what, version)))
                .isPresent();
        if (clashes) {
            throw new Clash(mark(what, version), version, stands.get());
        }
    }

    private static Optional<String> sent() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes r
                ? Optional.ofNullable(r.getRequest()).map(Seen::mark)
                : Optional.empty();
    }

    private static String mark(HttpServletRequest request) {
        return request.getParameter(FIELD);
    }
}
