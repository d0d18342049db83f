package garden.vivarium.app.platform;

import garden.vivarium.core.looks.Refusal;
import jakarta.servlet.http.HttpServletRequest;
import java.io.Serializable;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Supplier;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/**
 * What the small forms on a sheet ask for: the deed is done and said on the page that follows. Where it is refused, that page
 * says why, and the script {@code refill.js} puts what was typed back into its form.
 */
public final class Deeds {

    private Deeds() {}

    /**
     * A deed that is done.
     *
     * @param said what was done, in words
     * @param address the page to go on to
     */
    public record Done(String said, String address) {}

    /**
     * What was typed into a form that was refused.
     *
     * @param form the address to which the form was sent
     * @param field the field that is wrong
     * @param why what is wrong with it, and the remedy
     * @param values what was typed, by field
     */
    public record Typed(String form, String field, String why, Map<String, String[]> values) implements Serializable {}

    /** Does a deed that gives its words, and leads to the address, done or refused. */
    public static String tell(RedirectAttributes next, String address, Supplier<String> deed) {
        return lead(next, address, () -> new Done(deed.get(), address));
    }

    /** Does a deed that leads on by itself, or back to the address where it is refused. */
    public static String lead(RedirectAttributes next, String back, Supplier<Done> deed) {
        try {
            Done done = deed.get();
            next.addFlashAttribute("said", done.said());
            return "redirect:" + done.address();
        } catch (Problem p) {
            refuse(next, p.field(), p.getMessage());
        } catch (Refusal r) {
            refuse(next, r.field(), r.getMessage());
        }
        return "redirect:" + back;
    }

    private static void refuse(RedirectAttributes next, String field, String why) {
        HttpServletRequest request =
                ((ServletRequestAttributes) RequestContextHolder.currentRequestAttributes()).getRequest();
        Map<String, String[]> values = new TreeMap<>(request.getParameterMap());
        values.remove("_csrf");
        next.addFlashAttribute("refused", why);
        next.addFlashAttribute("typed", new Typed(request.getRequestURI(), field, why, values));
    }
}
