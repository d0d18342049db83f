package garden.vivarium.core.naming;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The words of a name, in the form in which names are compared: small letters, no accents, one of each and not several. */
public final class NameWords {

    private static final String OPEN = "['‘’‚\"“”„«»]";
    /** ‘Slack Tide’: a selection stands in quotes of any kind. An apostrophe within a word is none. */
    private static final Pattern SELECTION =
            Pattern.compile("(?<![\\p{L}\\p{N}])" + OPEN + "(?!\\s)(.+?)(?<!\\s)" + OPEN + "(?![\\p{L}\\p{N}])");
    /** What a price tag says beside the name: "9cm", "2 l", "£3.50", "x 6". */
    private static final Pattern TAG = Pattern.compile("(?i)(?<![\\p{L}\\p{N}])"
            + "([£$€]\\s?\\d+([.,]\\d+)?|\\d+([.,]\\d+)?\\s?(cm|mm|l|lt|ltr|litre|liter|p|in|inch|\"|£|€)?|x\\s?\\d+)"
            + "(?![\\p{L}\\p{N}])");

    private NameWords() {}

    /** What stands in quotes as a selection's own name; empty where nothing does. */
    public static Optional<String> selection(String typed) {
        Matcher m = SELECTION.matcher(typed);
        return m.find() ? Optional.of(m.group(1).strip()) : Optional.empty();
    }

    /** The same text without what stands in quotes. */
    public static String withoutSelection(String typed) {
        return SELECTION.matcher(typed).replaceAll(" ");
    }

    /** The same text without what a price tag says beside the name. */
    static String withoutTag(String typed) {
        return TAG.matcher(typed).replaceAll(" ");
    }

    /** The words of a text in the form in which they are compared. */
    public static List<String> of(String text) {
        return asWritten(text).stream().map(NameWords::single).toList();
    }

    /** Some words written as one, in the form in which they are compared: "day lilies" and "daylily". */
    static String together(List<String> words) {
        return single(String.join("", words));
    }

    /** The words of a text in small letters without accents. */
    public static List<String> asWritten(String text) {
        String letters = Normalizer.normalize(text.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .replaceAll("['’‘.]", "")
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip();
        return letters.isEmpty() ? List.of() : List.of(letters.split(" "));
    }

    /**
     * The same form for one and for several: "aloe" and "aloes", "tomato" and "tomatoes", "cactus" and "cacti". It need be no
     * word that anybody would write.
     */
    static String single(String word) {
        String one = word;
        if (word.length() > 4 && word.endsWith("ies")) {
            one = word.substring(0, word.length() - 3) + "y";
        } else if (word.length() > 5 && (word.endsWith("uses") || word.endsWith("ises"))) {
            one = word.substring(0, word.length() - 2);
        } else if (word.length() > 3
                && word.endsWith("s")
                && !word.endsWith("ss")
                && !word.endsWith("us")
                && !word.endsWith("is")) {
            one = word.substring(0, word.length() - 1);
        } else if (word.length() > 4 && word.endsWith("i")) {
            one = word.substring(0, word.length() - 1) + "us";
        }
        return one.length() > 3 && one.endsWith("e") ? one.substring(0, one.length() - 1) : one;
    }
}
