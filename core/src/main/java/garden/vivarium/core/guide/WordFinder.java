package garden.vivarium.core.guide;

import garden.vivarium.core.naming.NameWords;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * Finds among names the one that somebody means by a word of their own: as it is written (case, accents, hyphens and the s of
 * several aside), by another name, or misspelt by a letter or two.
 */
public final class WordFinder {

    /** Names shorter than this are taken only as they are written. */
    private static final int SHORTEST_MISSPELT = 5;
    /** From this length on two letters may be wrong. */
    private static final int TWO_WRONG = 9;

    /** By its plain form: the name, and whether it is that name or what it is called beside. */
    private final Map<String, Found> byPlain = new LinkedHashMap<>();

    private WordFinder() {}

    /** How sure it is that a name is meant. */
    public enum How {
        /** The name itself. */
        WRITTEN,
        /** What people call it beside. */
        CALLED,
        /** Misspelt, or read in a way that must be asked about. */
        NEAR;

        /** The less sure of the two. */
        public How and(How other) {
            return ordinal() > other.ordinal() ? this : other;
        }
    }

    /**
     * What was found.
     *
     * @param name the name that is meant
     * @param how how sure that is
     */
    public record Found(String name, How how) {}

    /**
     * Finds among these names.
     *
     * @param called other names by name
     * @throws IllegalArgumentException if one word would mean two of them
     */
    public static WordFinder of(Map<String, List<String>> called) {
        WordFinder words = new WordFinder();
        called.keySet().forEach(name -> words.byPlain.put(plain(name), new Found(name, How.WRITTEN)));
        called.forEach((name, others) -> others.forEach(other -> {
            Found before = words.byPlain.putIfAbsent(plain(other), new Found(name, How.CALLED));
            if (before != null && !before.name().equals(name)) {
                throw new IllegalArgumentException(
                        "%s means both %s and %s".formatted(plain(other), before.name(), name));
            }
        }));
        return words;
    }

    /** The same, and these names beside; a word that is known keeps its meaning. */
    public WordFinder and(Collection<String> names) {
        WordFinder words = new WordFinder();
        words.byPlain.putAll(byPlain);
        names.forEach(n -> words.byPlain.putIfAbsent(plain(n), new Found(n, How.WRITTEN)));
        return words;
    }

    /** The names, each once. */
    Stream<String> names() {
        return byPlain.values().stream().map(Found::name).distinct();
    }

    /** What is meant; empty where nothing is, or where two are equally near. */
    public Optional<Found> find(String typed) {
        String plain = plain(typed);
        Found known = byPlain.get(plain);
        return known != null ? Optional.of(known) : nearest(plain);
    }

    private Optional<Found> nearest(String plain) {
        int most = plain.length() < SHORTEST_MISSPELT ? 0 : plain.length() < TWO_WRONG ? 1 : 2;
        LevenshteinDistance distance = new LevenshteinDistance(most);
        String nearest = null;
        int wrong = most + 1;
        for (Map.Entry<String, Found> known : byPlain.entrySet()) {
            int d = most == 0 || known.getKey().length() < SHORTEST_MISSPELT
                    ? -1
                    : distance.apply(known.getKey(), plain);
            String name = known.getValue().name();
            if (d >= 0 && d < wrong) {
                nearest = name;
                wrong = d;
            } else if (d == wrong && !name.equals(nearest)) {
                nearest = null;
            }
        }
        return Optional.ofNullable(nearest).map(n -> new Found(n, How.NEAR));
    }

    /** In small letters without accents, signs and the s of several. */
    static String plain(String name) {
        return NameWords.asWritten(name).stream().map(WordFinder::single).collect(Collectors.joining(" "));
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
