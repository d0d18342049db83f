package garden.vivarium.core.naming;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.text.similarity.DamerauLevenshteinDistance;

/**
 * Names, and which words of a text are one of them: in any order ("fig, weeping"), in one word or two ("day lily"), with a
 * species behind a genus.
 */
final class NameIndex<T> {

    private static final int MOST_WORDS = 6;
    private static final Pattern LATIN = Pattern.compile("\\p{L}{2,}(a|us|um|is|ii|ae|ens|ans|ensis|oides|ior|ys|ops)");
    /** Names shorter than this are taken only as they are written. */
    private static final int SHORTEST_MISSPELT = 5;
    /** From this length on two letters may be wrong. */
    private static final int TWO_WRONG = 9;

    private final NameLexicon lexicon;
    private final Map<String, Set<Called<T>>> byWords = new HashMap<>();
    private final Map<String, Set<Called<T>>> byLetters = new HashMap<>();
    private final Map<String, Set<Called<T>>> byGenus = new HashMap<>();
    private final Map<String, Set<Called<T>>> byWord = new LinkedHashMap<>();
    private final Set<String> english = new HashSet<>();
    /** Words that may be misspelt, by their length. */
    private final Map<Integer, List<Word>> byLength = new HashMap<>();

    /** A word, and the letters that it has. */
    private record Word(String word, int letters) {}

    NameIndex(NameLexicon lexicon, Collection<Called<T>> things) {
        this.lexicon = lexicon;
        // Plants of one kind have its names in common.
        Map<String, Name> read = new HashMap<>();
        things.forEach(t -> add(t, read));
        byWord.keySet().stream()
                .filter(w -> w.length() >= SHORTEST_MISSPELT - 1)
                .forEach(w -> byLength.computeIfAbsent(w.length(), l -> new ArrayList<>())
                        .add(new Word(w, Letters.of(w))));
    }

    /** A name, as it is written and in the form in which names are compared. */
    private record Name(List<String> written, List<String> words) {

        static Name of(String name) {
            List<String> written = NameWords.asWritten(name);
            return new Name(written, written.stream().map(NameWords::single).toList());
        }
    }

    private void add(Called<T> thing, Map<String, Name> read) {
        Set<String> latin = new HashSet<>(thing.latin());
        for (String name : thing.names()) {
            Name known = read.computeIfAbsent(name, Name::of);
            List<String> written = known.written();
            List<String> words = known.words();
            if (words.isEmpty()) {
                continue;
            }
            put(byWords, bag(words), thing);
            put(byLetters, NameWords.together(written), thing);
            List<String> telling =
                    words.stream().filter(w -> !lexicon.isFiller(w)).toList();
            // "Swiss cheese" is the Swiss cheese plant; "spider" is not the spider plant.
            if (telling.size() > 1) {
                put(byWords, bag(telling), thing);
            }
            words.forEach(w -> put(byWord, w, thing));
            if (!latin.contains(name)) {
                english.addAll(words);
            } else if (words.size() == 1) {
                put(byGenus, words.get(0), thing);
            }
        }
    }

    private static <T> void put(Map<String, Set<Called<T>>> map, String key, Called<T> thing) {
        map.computeIfAbsent(key, k -> new LinkedHashSet<>(2)).add(thing);
    }

    private static String bag(List<String> words) {
        return words.stream().sorted().collect(Collectors.joining(" "));
    }

    /** Which words of a text one thing's names account for. */
    static final class Coverage {
        final BitSet words = new BitSet();
        int longest;
    }

    /** What the names of each thing account for of some words as written; things that account for nothing are not among them. */
    Map<Called<T>, Coverage> coverage(List<String> written) {
        List<String> words = written.stream().map(NameWords::single).toList();
        Map<Called<T>, Coverage> covered = new LinkedHashMap<>();
        for (int from = 0; from < words.size(); from++) {
            for (int to = from + 1; to <= Math.min(words.size(), from + MOST_WORDS); to++) {
                List<String> run = words.subList(from, to);
                for (Called<T> thing : byWords.getOrDefault(bag(run), Set.of())) {
                    cover(covered, thing, from, to, run);
                }
                for (Called<T> thing :
                        byLetters.getOrDefault(NameWords.together(written.subList(from, to)), Set.of())) {
                    cover(covered, thing, from, to, run);
                }
            }
            if (from + 1 < words.size() && isSpecies(words.get(from), written.get(from + 1))) {
                for (Called<T> thing : byGenus.getOrDefault(words.get(from), Set.of())) {
                    covered.computeIfAbsent(thing, t -> new Coverage()).words.set(from, from + 2);
                }
            }
        }
        return covered;
    }

    private void cover(Map<Called<T>, Coverage> covered, Called<T> thing, int from, int to, List<String> run) {
        if (run.stream().allMatch(lexicon::isFiller)) {
            return;
        }
        Coverage c = covered.computeIfAbsent(thing, t -> new Coverage());
        c.words.set(from, to);
        int letters = run.stream().mapToInt(String::length).sum();
        c.longest = Math.max(c.longest, letters);
    }

    /** Behind a genus that has no other use nearly any word is a species; behind "iris" or "fuchsia" what ends as Latin does. */
    private boolean isSpecies(String genus, String written) {
        return !lexicon.isFiller(NameWords.single(written))
                && (LATIN.matcher(written).matches()
                        || (!english.contains(genus) && !english.contains(NameWords.single(written))));
    }

    boolean knows(String word) {
        return byWord.containsKey(word);
    }

    /** Things of which the word is a whole name. */
    Set<Called<T>> named(String word) {
        return byWords.getOrDefault(word, Set.of());
    }

    /** Things in any name of which the word stands: those first of which it is a whole name, then those that are known by it. */
    List<Called<T>> with(String word) {
        Set<Called<T>> with = new LinkedHashSet<>(byWords.getOrDefault(word, Set.of()));
        Set<Called<T>> all = byWord.getOrDefault(word, Set.of());
        all.stream().filter(t -> NameWords.of(t.names().get(0)).contains(word)).forEach(with::add);
        with.addAll(all);
        return List.copyOf(with);
    }

    /** Words of names that a word may be a slip of the pen for, the nearest first; none for a short one. */
    List<String> slips(String word) {
        // The form in which words are compared may have lost a letter at the end.
        int most = word.length() + 1 < SHORTEST_MISSPELT ? 0 : word.length() < TWO_WRONG ? 1 : 2;
        if (most == 0 || word.length() < SHORTEST_MISSPELT - 1) {
            return List.of();
        }
        DamerauLevenshteinDistance distance = new DamerauLevenshteinDistance(most);
        record Near(String word, int wrong) {}
        int letters = Letters.of(word);
        // Each wrong letter puts one out of the set of letters and another in, at the most.
        return IntStream.rangeClosed(word.length() - most, word.length() + most)
                .boxed()
                .flatMap(length -> byLength.getOrDefault(length, List.of()).stream())
                .filter(w -> Letters.apart(w.letters(), letters) <= 2 * most)
                .map(w -> new Near(w.word(), distance.apply(w.word(), word)))
                .filter(n -> n.wrong() >= 0)
                .sorted(Comparator.comparingInt(Near::wrong))
                .map(Near::word)
                .toList();
    }

    /** Whether every word that tells something is accounted for, once some name was found. */
    boolean isWhole(List<String> words, Coverage c, String group) {
        return IntStream.range(0, words.size())
                .allMatch(i -> c.words.get(i) || lexicon.isFiller(words.get(i)) || lexicon.fits(words.get(i), group));
    }

    /** Words that are not accounted for. */
    List<String> leftOver(List<String> words, Coverage c, String group) {
        List<String> left = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            if (!c.words.get(i) && !lexicon.isFiller(words.get(i)) && !lexicon.fits(words.get(i), group)) {
                left.add(words.get(i));
            }
        }
        return left;
    }
}
