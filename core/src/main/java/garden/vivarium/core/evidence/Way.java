package garden.vivarium.core.evidence;

import java.util.Arrays;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * What is compared: how pieces of a plant are made and kept.
 *
 * @param plant the plant's name
 * @param group key of its plant group
 * @param method the guide's name of the method
 * @param medium the guide's name of the medium
 * @param treatment what is done to the pieces, in the form of {@link #treatment(String)}; empty for nothing
 */
public record Way(String plant, String group, String method, String medium, String treatment) {

    /** One way of writing a treatment: lower case, parts in order, joined by semicolons. */
    public static String treatment(String words) {
        return words == null
                ? ""
                : Arrays.stream(words.split(";"))
                        .map(w -> w.strip().toLowerCase(Locale.ROOT))
                        .filter(w -> !w.isEmpty())
                        .distinct()
                        .sorted()
                        .collect(Collectors.joining("; "));
    }

    /** How a grower would say it, without the plant: "tip cutting in water, hormone 0.3%". */
    public String words() {
        String in = medium.startsWith("laid") || medium.startsWith("open ") ? ", " : " in ";
        return method + in + medium + (treatment.isEmpty() ? "" : ", " + treatment);
    }
}
