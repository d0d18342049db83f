package garden.vivarium.core.guide;

import garden.vivarium.core.guide.WordFinder.Found;
import garden.vivarium.core.guide.WordFinder.How;
import garden.vivarium.core.measure.Mix;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads what somebody calls a medium: one of the guide, one of the nursery's own, or a mix of them by parts, as "half gravel, half
 * bark", "perlite/compost 50:50", "2 coir, 1 perlite", "perlite and coir" or, in files, "gravel:1+bark:1".
 */
public final class MediumReader {

    private static final String NUMBER = "(\\d{1,3}(?:\\.\\d)?)";
    private static final Pattern HALVES = Pattern.compile("half (.+?)(?:,| and)? half (.+)");
    private static final Pattern PART_FIRST = Pattern.compile(NUMBER + "\\s*%?\\s*(?:parts? )?(?:of )?(\\D+)");
    private static final Pattern PART_LAST = Pattern.compile("([^\\d:]+?)\\s*:\\s*" + NUMBER);
    private static final Pattern RATIO = Pattern.compile(NUMBER + "(?:\\s*[:/]\\s*" + NUMBER + ")+");
    /** What may be a part of a mix, known or not. */
    private static final Pattern OWN_PART = Pattern.compile("\\p{L}[\\p{L} '-]{1,39}");

    private static final String BETWEEN = "\\s*(?:/|:|\\+|,| and | with |&)\\s*";

    private final WordFinder words;
    private final boolean takesOwnParts;

    private MediumReader(WordFinder words, boolean takesOwnParts) {
        this.words = words;
        this.takesOwnParts = takesOwnParts;
    }

    /** Reads the guide's media and the nursery's own. */
    public static MediumReader of(WordFinder guide, Collection<String> own) {
        return new MediumReader(guide.and(own), false);
    }

    /** The medium that is meant, a mix in the one way of writing it; empty where nothing known is. */
    public Optional<Found> read(String typed) {
        String said = typed.strip().replaceAll("\\s+", " ");
        if (said.isEmpty()) {
            return Optional.empty();
        }
        return words.find(said)
                .filter(f -> f.how() != How.NEAR)
                .or(() -> mix(said.toLowerCase(Locale.ROOT)))
                .or(() -> words.find(said));
    }

    /**
     * A mix some of whose parts are the nursery's own, or of whose parts nobody said how much, which are taken for equal then: "garden soil, coir and
     * perlite", "half garden soil, half bark". Empty where it is no mix, nothing in it is known, or a part may be misspelt.
     */
    public Optional<String> withOwnParts(String typed) {
        String said = typed.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
        MediumReader own = new MediumReader(words, true);
        return own.halves(said)
                .or(() -> own.byParts(said))
                .or(() -> own.byRatio(said))
                .or(() -> own.equal(said, How.WRITTEN))
                .filter(f -> f.how() != How.NEAR)
                .map(Found::name);
    }

    private Optional<Found> mix(String said) {
        return halves(said).or(() -> byParts(said)).or(() -> byRatio(said)).or(() -> equal(said, How.NEAR));
    }

    private Optional<Found> halves(String said) {
        Matcher two = HALVES.matcher(said);
        return two.matches()
                ? of(List.of(two.group(1), two.group(2)), List.of(1.0, 1.0), How.WRITTEN)
                : Optional.empty();
    }

    /** "2 coir, 1 perlite", "60% coir 40% perlite", "gravel:1+bark:1". */
    private Optional<Found> byParts(String said) {
        List<String> names = new ArrayList<>();
        List<Double> parts = new ArrayList<>();
        for (String piece : said.split("\\s*[+,;]\\s*|\\s+(?:and|with)\\s+(?=\\d)|\\s+(?=\\d)")) {
            Matcher first = PART_FIRST.matcher(piece);
            Matcher last = PART_LAST.matcher(piece);
            if (first.matches()) {
                parts.add(Double.valueOf(first.group(1)));
                names.add(first.group(2));
            } else if (last.matches()) {
                names.add(last.group(1));
                parts.add(Double.valueOf(last.group(2)));
            } else {
                return Optional.empty();
            }
        }
        return of(names, parts, How.WRITTEN);
    }

    /** "perlite/compost 50:50", "50/50 perlite and coir". */
    private Optional<Found> byRatio(String said) {
        Matcher ratio = RATIO.matcher(said);
        if (!ratio.find()) {
            return Optional.empty();
        }
        String names = (said.substring(0, ratio.start()) + said.substring(ratio.end())).strip();
        List<Double> parts = new ArrayList<>();
        for (String n : ratio.group().split("[:/]")) {
            parts.add(Double.valueOf(n.strip()));
        }
        return of(List.of(names.split(BETWEEN)), parts, How.WRITTEN);
    }

    /** "perlite and coir": equal parts most likely, but nobody said so. */
    private Optional<Found> equal(String said, How sure) {
        List<String> names = List.of(said.split(BETWEEN));
        return names.size() < 2
                ? Optional.empty()
                : of(names, names.stream().map(n -> 1.0).toList(), sure);
    }

    private Optional<Found> of(List<String> names, List<Double> parts, How sure) {
        if (names.isEmpty() || names.size() != parts.size() || parts.stream().anyMatch(p -> p <= 0)) {
            return Optional.empty();
        }
        Map<String, Double> found = new LinkedHashMap<>();
        How how = sure;
        boolean isKnown = false;
        for (int i = 0; i < names.size(); i++) {
            String name = names.get(i).strip();
            if (!OWN_PART.matcher(name).matches()) {
                return Optional.empty();
            }
            Optional<Found> one = words.find(name);
            if (one.isEmpty() && !takesOwnParts) {
                return Optional.empty();
            }
            isKnown |= one.isPresent();
            how = how.and(one.map(Found::how).orElse(How.WRITTEN));
            // A part that the guide does not know is one of the nursery's own.
            found.merge(one.map(Found::name).orElse(name), parts.get(i), Double::sum);
        }
        return isKnown ? Optional.of(new Found(new Mix(found).words(), how)) : Optional.empty();
    }
}
