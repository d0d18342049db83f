package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.io.Serializable;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Supplier;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/**
 * What the small forms on a sheet ask for: it is done and said on the page that follows. Where it is refused, that page
 * says why, and the script {@code refill.js} puts what was typed back into its form.
 */
public final class FormActions {

    private static final List<String> SECRET = List.of("password", "old", "wanted");
    /** How much of a form that is refused is put back. */
    private static final int MOST_LETTERS = 200_000;

    private FormActions() {}

    /**
     * What was done.
     *
     * @param said what was done, in words
     * @param address the page to go on to
     */
    public record Result(String said, String address) {}

    /**
     * What was typed into a form that was refused.
     *
     * @param form the address to which the form was sent
     * @param field the field that is wrong
     * @param why what is wrong with it, and the remedy
     * @param values what was typed, by field
     */
    public record TypedForm(String form, String field, String why, Map<String, String[]> values)
            implements Serializable {}

    /** Does something that gives its words, and leads to the address, done or refused. */
    public static String run(RedirectAttributes next, String address, Supplier<String> act) {
        return runAndGo(next, address, () -> new Result(act.get(), address));
    }

    /** Does something that leads on by itself, or back to the address where it is refused. */
    public static String runAndGo(RedirectAttributes next, String back, Supplier<Result> act) {
        try {
            Result done = act.get();
            next.addFlashAttribute("said", done.said());
            return "redirect:" + done.address();
        } catch (InvalidField p) {
            refuse(next, p.field(), p.getMessage());
        }
        return "redirect:" + back;
    }

    private static void refuse(RedirectAttributes next, String field, String why) {
        HttpServletRequest request =
                ((ServletRequestAttributes) RequestContextHolder.currentRequestAttributes()).getRequest();
        Map<String, Object> flash = new HashMap<>();
        refuse(flash, request, field, why);
        flash.forEach(next::addFlashAttribute);
    }

    /** Says on the page that follows what is wrong, and lets it put back what was typed. */
    static void refuse(Map<String, Object> flash, HttpServletRequest request, String field, String why) {
        flash.put("refused", why);
        flash.put("typed", new TypedForm(request.getRequestURI(), field, why, typed(request)));
    }

    /** What was typed into a form, without what it carries for itself. */
    static Map<String, String[]> typed(HttpServletRequest request) {
        Map<String, String[]> values = new TreeMap<>(request.getParameterMap());
        List.of("_csrf", FormIds.FIELD, Seen.FIELD).forEach(values::remove);
        // Nothing secret goes back into a page.
        SECRET.forEach(values::remove);
        // Nobody types so much; what is larger would fill the session.
        while (letters(values.values()) > MOST_LETTERS) {
            values.remove(values.entrySet().stream()
                    .max(Comparator.comparingInt(e -> letters(List.<String[]>of(e.getValue()))))
                    .orElseThrow()
                    .getKey());
        }
        return values;
    }

    private static int letters(Collection<String[]> values) {
        return values.stream().flatMap(Arrays::stream).mapToInt(String::length).sum();
    }
}
