package garden.vivarium.core.naming;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.apache.commons.text.similarity.JaroWinklerSimilarity;

/**
 * Reads typed names: "Fuchsia ‘Slack Tide’ 9cm", "snake plants", "begonia, tuberous", "fuschia". A name is taken only where every word
 * of it that tells something is accounted for and only one thing has it; else it is asked. What is written as it is known goes before
 * slips of the pen: one letter in five, two in nine, each word by itself.
 */
public final class NameReader<T> {

    /** So many are offered at most. */
    private static final int MOST_OFFERED = 30;

    private static final int MOST_NEAR = 5;
    private static final double NEAR = 0.86;
    /** So many ways to read slips are followed. */
    private static final int MOST_READINGS = 60;

    private static final int LONGEST_TEXT = 200;

    private final NameLexicon lexicon;
    private final NameIndex<T> index;
    /** The first of each name, written as one word, with the letters that it has. */
    private final Map<String, Spelt<T>> byLetters;

    private record Spelt<T>(Called<T> thing, int letters) {}

    private final boolean knowsSelections;

    /** Reads names of kinds: what stands in quotes is taken for a selection's name, whatever it is. */
    public NameReader(NameLexicon lexicon, Collection<Called<T>> things) {
        this(lexicon, things, false);
    }

    /** Reads names among which selections are: what stands in quotes must be one of them. */
    public static <T> NameReader<T> ofSelections(NameLexicon lexicon, Collection<Called<T>> things) {
        return new NameReader<>(lexicon, things, true);
    }

    private NameReader(NameLexicon lexicon, Collection<Called<T>> things, boolean knowsSelections) {
        this.knowsSelections = knowsSelections;
        this.lexicon = lexicon;
        this.index = new NameIndex<>(lexicon, things);
        this.byLetters = new LinkedHashMap<>();
        Set<String> seen = new HashSet<>();
        things.forEach(t -> t.names().stream().filter(seen::add).forEach(n -> {
            String spelt = NameWords.together(NameWords.asWritten(n));
            byLetters.putIfAbsent(spelt, new Spelt<>(t, Letters.of(spelt)));
        }));
    }

    private record Found<T>(Called<T> thing, NameIndex.Coverage coverage) {}

    /** What a text means; figures and sizes are taken for a price tag's. */
    public NameReading<T> read(String typed) {
        String line = typed.substring(0, Math.min(typed.length(), LONGEST_TEXT));
        String text = NameWords.withoutTag(knowsSelections ? line : NameWords.withoutSelection(line));
        List<String> written = NameWords.asWritten(text);
        List<String> words = written.stream().map(NameWords::single).toList();
        if (words.stream().allMatch(lexicon::isFiller)) {
            return new NameReading.Unknown<>(List.of());
        }
        List<String> telling = words.stream().filter(w -> !lexicon.isFiller(w)).toList();
        if (telling.stream().allMatch(lexicon::decidesNothing)) {
            return common(written, telling);
        }
        List<Found<T>> whole = whole(written);
        if (!whole.isEmpty()) {
            return said(whole, true);
        }
        List<Found<T>> misspelt = misspelt(written);
        if (!misspelt.isEmpty()) {
            return said(misspelt, false);
        }
        List<Found<T>> part = part(written);
        if (!part.isEmpty()) {
            List<T> meanings = meanings(part.stream().map(Found::thing));
            Found<T> best = part.get(0);
            return new NameReading.Asked<>(
                    meanings,
                    index.leftOver(words, best.coverage(), best.thing().group()),
                    false,
                    meanings);
        }
        return new NameReading.Unknown<>(near(words));
    }

    /** A name that so many have that it decides nothing, unless a whole name is made of such words ("ice plant"). */
    private NameReading<T> common(List<String> written, List<String> telling) {
        if (written.size() > 1) {
            List<Found<T>> whole = whole(written).stream()
                    .filter(f -> telling.size() > 1 || f.coverage().words.cardinality() > 1)
                    .toList();
            if (!whole.isEmpty()) {
                return said(whole, true);
            }
        }
        List<T> offered = meanings(
                telling.stream().filter(w -> lexicon.common().contains(w)).flatMap(w -> index.with(w).stream()));
        List<T> named = meanings(telling.stream().flatMap(w -> index.named(w).stream()));
        return offered.isEmpty()
                ? new NameReading.Unknown<>(List.of())
                : new NameReading.Asked<>(offered, List.of(), true, named);
    }

    /** Those that account for every word, by the longest name that is among the words. */
    private List<Found<T>> whole(List<String> written) {
        List<String> words = written.stream().map(NameWords::single).toList();
        List<Found<T>> whole = new ArrayList<>();
        index.coverage(written).forEach((thing, c) -> {
            if (index.isWhole(words, c, thing.group())) {
                whole.add(new Found<>(thing, c));
            }
        });
        int longest = whole.stream().mapToInt(f -> f.coverage().longest).max().orElse(0);
        return whole.stream().filter(f -> f.coverage().longest == longest).toList();
    }

    private List<Found<T>> misspelt(List<String> written) {
        List<List<String>> readings = List.of(List.of());
        for (String one : written) {
            String word = NameWords.single(one);
            List<String> options = lexicon.decidesNothing(word) || index.knows(word)
                    ? List.of(one)
                    : Stream.concat(Stream.of(one), index.slips(word).stream()).toList();
            List<List<String>> next = new ArrayList<>();
            for (List<String> before : readings) {
                for (String option : options) {
                    if (next.size() < MOST_READINGS) {
                        next.add(Stream.concat(before.stream(), Stream.of(option))
                                .toList());
                    }
                }
            }
            readings = next;
        }
        Map<Called<T>, Found<T>> found = new LinkedHashMap<>();
        readings.stream()
                .filter(r -> !r.equals(written))
                .flatMap(r -> whole(r).stream())
                .forEach(f -> found.putIfAbsent(f.thing(), f));
        return List.copyOf(found.values());
    }

    /** Those that have a name among the words though others are left over, those first that leave fewest. */
    private List<Found<T>> part(List<String> written) {
        List<String> words = written.stream().map(NameWords::single).toList();
        List<Found<T>> part = new ArrayList<>();
        index.coverage(written).forEach((thing, c) -> {
            if (c.words.stream().mapToObj(words::get).anyMatch(w -> !lexicon.decidesNothing(w))) {
                part.add(new Found<>(thing, c));
            }
        });
        part.sort(Comparator.comparingInt((Found<T> f) ->
                        index.leftOver(words, f.coverage(), f.thing().group()).size())
                .thenComparingInt(f -> -f.coverage().longest));
        return part;
    }

    private NameReading<T> said(List<Found<T>> found, boolean asWritten) {
        List<T> meanings = meanings(found.stream().map(Found::thing));
        return meanings.size() == 1
                ? new NameReading.Taken<>(meanings.get(0), asWritten)
                : new NameReading.Asked<>(meanings, List.of(), false, meanings);
    }

    private List<T> meanings(Stream<Called<T>> things) {
        Set<T> meanings = new LinkedHashSet<>();
        things.forEach(t -> meanings.add(t.meaning()));
        return meanings.stream().limit(MOST_OFFERED).toList();
    }

    private List<T> near(List<String> words) {
        String typed = NameWords.together(words);
        int letters = Letters.of(typed);
        JaroWinklerSimilarity similarity = new JaroWinklerSimilarity();
        record Near<T>(Called<T> thing, double alike) {}
        List<Near<T>> near = byLetters.entrySet().stream()
                .filter(e -> Letters.apart(e.getValue().letters(), letters)
                        <= mostApart(e.getKey().length(), typed.length()))
                .map(e -> new Near<>(e.getValue().thing(), similarity.apply(e.getKey(), typed)))
                .filter(n -> n.alike() >= NEAR)
                .sorted(Comparator.comparingDouble((Near<T> n) -> -n.alike()))
                .toList();
        return meanings(near.stream().map(Near::thing)).stream()
                .limit(MOST_NEAR)
                .toList();
    }

    /**
     * How many letters two names of these lengths can have that the other lacks, and be as alike as is asked: with m letters in common the
     * Jaro similarity is (m/a + m/b + 1)/3 at the most, and a common beginning adds four tenths of what is missing.
     */
    private static double mostApart(int a, int b) {
        double jaro = (NEAR - 0.4) / 0.6;
        double common = (3 * jaro - 1) * a * b / (a + b);
        return a + b - 2 * common;
    }
}
