package garden.vivarium.core.guide;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * Finds the kind that a typed name means: "Fuchsia 'Slack Tide'", "zonal pelargoniums", "fuschia". The longest run of words that
 * is a name of a kind decides, and the earlier of two as long; where none is, the one that is nearest by a letter or two.
 */
public final class KindFinder {

    /** Names shorter than this are taken only as they are written. */
    private static final int SHORTEST_MISSPELT = 5;
    /** From this length on two letters may be wrong. */
    private static final int TWO_WRONG = 7;

    private static final int MOST_WORDS = 5;

    private final Map<String, Set<PlantKind>> byName = new LinkedHashMap<>();

    KindFinder(List<PlantKind> kinds) {
        // A kind's own name comes before what others are called beside.
        kinds.forEach(k -> called(k.names().name(), k));
        kinds.forEach(k -> k.names().latin().forEach(n -> called(n, k)));
        kinds.forEach(k -> k.names().also().forEach(n -> called(n, k)));
    }

    private void called(String name, PlantKind kind) {
        byName.computeIfAbsent(plain(name), n -> new LinkedHashSet<>()).add(kind);
    }

    /**
     * What was found.
     *
     * @param kind the kind
     * @param asWritten whether the name was written as the guide has it; else it was read as misspelt
     */
    public record Found(PlantKind kind, boolean asWritten) {}

    /**
     * The kind that a name means; empty where the guide knows none.
     *
     * @param typed any text
     * @param group key of a group, by which one of several of a name is chosen; empty or unknown where none is
     */
    public Optional<Found> find(String typed, String group) {
        List<String> runs = runs(plain(typed));
        for (String run : runs) {
            Set<PlantKind> kinds = byName.get(run);
            if (kinds != null) {
                return Optional.of(new Found(of(kinds, group), true));
            }
        }
        return runs.stream()
                .flatMap(run -> nearest(run).stream())
                .min(Comparator.comparingInt(Near::wrong))
                .map(n -> new Found(of(byName.get(n.name()), group), false));
    }

    private record Near(String name, int wrong) {}

    private Optional<Near> nearest(String run) {
        int most = run.length() < SHORTEST_MISSPELT ? 0 : run.length() < TWO_WRONG ? 1 : 2;
        if (most == 0) {
            return Optional.empty();
        }
        LevenshteinDistance distance = new LevenshteinDistance(most);
        return byName.keySet().stream()
                .filter(n -> n.length() >= SHORTEST_MISSPELT && n.charAt(0) == run.charAt(0))
                .map(n -> new Near(n, distance.apply(n, run)))
                .filter(n -> n.wrong() >= 0)
                .min(Comparator.comparingInt(Near::wrong));
    }

    private static PlantKind of(Set<PlantKind> kinds, String group) {
        return kinds.stream()
                .filter(k -> k.group().equals(group))
                .findFirst()
                .orElse(kinds.iterator().next());
    }

    /** All runs of words, the longest first and the earlier of those as long. */
    private static List<String> runs(String plain) {
        String[] words = plain.split(" ");
        Set<String> runs = new LinkedHashSet<>();
        for (int length = Math.min(MOST_WORDS, words.length); length > 0; length--) {
            for (int from = 0; from + length <= words.length; from++) {
                runs.add(String.join(" ", Arrays.copyOfRange(words, from, from + length)));
            }
        }
        runs.remove("");
        return List.copyOf(runs);
    }

    /** In small letters without accents, signs and the s of several. */
    static String plain(String name) {
        String letters = Normalizer.normalize(name.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .replaceAll("['’.]", "")
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip();
        return Arrays.stream(letters.split(" "))
                .map(KindFinder::single)
                .reduce((a, b) -> a + " " + b)
                .orElse("");
    }

    private static String single(String word) {
        if (word.length() > 4 && word.endsWith("ies")) {
            return word.substring(0, word.length() - 3) + "y";
        }
        return word.length() > 3
                        && word.endsWith("s")
                        && !word.endsWith("ss")
                        && !word.endsWith("us")
                        && !word.endsWith("is")
                ? word.substring(0, word.length() - 1)
                : word;
    }
}
