package garden.vivarium.core.measure;

import garden.vivarium.core.Text;
import garden.vivarium.core.UnknownWord;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.hipparchus.util.ArithmeticUtils;

/**
 * A mix by parts of volume.
 *
 * @param parts parts by ingredient, each above 0
 */
public record Mix(Map<String, Double> parts) {

    private static final Pattern PART = Pattern.compile("\\s*(\\d+(?:[.,]\\d+)?)\\s+(\\S.*?)\\s*");

    /** Parts are told to a tenth. */
    private static final long PARTS_OF_ONE = 10;

    public Mix {
        if (parts.isEmpty() || parts.values().stream().anyMatch(p -> !(p > 0))) {
            throw new IllegalArgumentException("a mix has one part or more, each above 0");
        }
        parts = Map.copyOf(parts);
    }

    /**
     * Reads a recipe, as "2 peat-free compost, 1 perlite" or as {@link #words()} writes it.
     *
     * @throws UnknownWord naming the part that cannot be read
     */
    public static Mix read(String recipe) {
        Map<String, Double> parts = new LinkedHashMap<>();
        for (String part : recipe.split("[,;]\\s+|;|,(?=\\s*\\d)|\\s\\+\\s")) {
            Matcher found = PART.matcher(part);
            if (!found.matches()) {
                throw new UnknownWord(UnknownWord.Wanted.PART_OF_A_MIX, part);
            }
            parts.merge(
                    found.group(2).toLowerCase(Locale.ROOT),
                    Double.parseDouble(found.group(1).replace(',', '.')),
                    Double::sum);
        }
        return new Mix(parts);
    }

    /**
     * The one way of writing it: the most first, and by name where parts are equal, in whole parts without a common factor where
     * that can be: "2 coir + 1 perlite". A mix of one thing is that thing.
     */
    public String words() {
        if (parts.size() == 1) {
            return parts.keySet().iterator().next();
        }
        double least = parts.values().stream()
                .map(p -> Math.round(p * PARTS_OF_ONE))
                .reduce(ArithmeticUtils::gcd)
                .map(g -> g / (double) PARTS_OF_ONE)
                .orElse(1.0);
        return parts.entrySet().stream()
                .sorted(Map.Entry.<String, Double>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey(String.CASE_INSENSITIVE_ORDER)))
                .map(e -> Text.figure(e.getValue() / least) + " " + e.getKey())
                .collect(Collectors.joining(" + "));
    }

    /** Litres of each ingredient in so many litres of the mix. */
    public Map<String, Double> litres(double ofMix) {
        double all = parts.values().stream().mapToDouble(Double::doubleValue).sum();
        Map<String, Double> litres = new LinkedHashMap<>();
        parts.forEach((what, part) -> litres.put(what, ofMix * part / all));
        return litres;
    }
}
