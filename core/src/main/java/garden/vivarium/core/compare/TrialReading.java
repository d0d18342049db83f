package garden.vivarium.core.compare;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * What a trial of two to four arms came to: each pair of arms read by its trays as {@link TrialResult} does, and the chances of the pairs
 * raised so that in a trial in which nothing differs any pair is told apart in at most 5% (Holm, Scandinavian Journal of Statistics 6
 * (1979) 65). Two arms are read as they always were.
 *
 * @param arms what they were
 * @param trays counts by tray
 * @param pairs every pair of arms that share a tray, in order of the arms
 */
public record TrialReading(List<String> arms, List<Tray> trays, List<Pair> pairs) {

    private static final double TOLD = 0.05;

    public TrialReading {
        arms = List.copyOf(arms);
        trays = List.copyOf(trays);
        pairs = List.copyOf(pairs);
    }

    /** What follows, where there are more than two arms. */
    public enum Verdict implements Rule {
        /** One arm gives more than each of the others. */
        BEST,
        /** Some arms differ, but none is above all the others. */
        SOME,
        /** All are alike to one in ten. */
        ALIKE,
        /** Not told. */
        OPEN
    }

    /** What is said of an arm by itself. */
    public enum Counted implements Rule {
        /** How many of it became ready. */
        ARM
    }

    /**
     * A tray's pieces that were judged.
     *
     * @param kept of each arm, how many were kept
     * @param of of each arm, how many were judged
     */
    public record Tray(String name, List<Integer> kept, List<Integer> of) {

        public Tray {
            kept = List.copyOf(kept);
            of = List.copyOf(of);
        }
    }

    /**
     * Two of the arms, by their places from 0.
     *
     * @param chance of so large a difference anywhere in the trial, were there none: Holm's adjusted exact p
     */
    public record Pair(int first, int second, TrialResult result, double chance) {

        /** Whether they are told apart. */
        public boolean isTold() {
            return chance <= TOLD;
        }

        /** Whether neither gave more than the other. */
        public boolean isLevel() {
            return result.difference().mean() == 0;
        }

        /** The arm that gave more, by its place; where neither did, the second. */
        public int better() {
            return result.difference().mean() > 0 ? first : second;
        }

        /** The other. */
        public int worse() {
            return better() == first ? second : first;
        }

        /** By how much the better is above the other at the least, nine times in ten; below 0 where it may be beneath it. */
        public double low() {
            return better() == first
                    ? result.difference().low()
                    : -result.difference().high();
        }

        /** And at the most. */
        public double high() {
            return better() == first
                    ? result.difference().high()
                    : -result.difference().low();
        }
    }

    /**
     * Reads a trial.
     *
     * @throws IllegalArgumentException if no tray has judged pieces of two arms
     */
    public static TrialReading of(List<String> arms, List<Tray> trays) {
        List<Pair> raw = new ArrayList<>();
        for (int a = 0; a < arms.size(); a++) {
            for (int b = a + 1; b < arms.size(); b++) {
                int first = a;
                int second = b;
                List<TrialResult.Tray> counts = trays.stream()
                        .map(t -> new TrialResult.Tray(
                                t.name(),
                                t.kept().get(first),
                                t.of().get(first),
                                t.kept().get(second),
                                t.of().get(second)))
                        .toList();
                if (counts.stream().anyMatch(t -> t.ofFirst() > 0 && t.ofSecond() > 0)) {
                    TrialResult result = TrialResult.of(arms.get(a), arms.get(b), counts);
                    raw.add(new Pair(a, b, result, result.exact().p()));
                }
            }
        }
        if (raw.isEmpty()) {
            throw new IllegalArgumentException("no tray has judged pieces of two arms");
        }
        // A pair that could not be read yet counts among those that are asked about.
        double[] chances = holm(raw.stream().mapToDouble(Pair::chance).toArray(), arms.size() * (arms.size() - 1) / 2);
        List<Pair> pairs = IntStream.range(0, raw.size())
                .mapToObj(i -> new Pair(
                        raw.get(i).first(), raw.get(i).second(), raw.get(i).result(), chances[i]))
                .toList();
        return new TrialReading(arms, trays, pairs);
    }

    /**
     * Holm's adjusted chances: the smallest times the number of questions, the next times one less, and so on, none below one before it.
     *
     * @param p of each question that has an answer, 0 to 1
     * @param questions how many were asked, at least as many
     */
    static double[] holm(double[] p, int questions) {
        Integer[] order = IntStream.range(0, p.length).boxed().toArray(Integer[]::new);
        Arrays.sort(order, Comparator.comparingDouble(i -> p[i]));
        double[] adjusted = new double[p.length];
        double before = 0;
        for (int i = 0; i < order.length; i++) {
            before = Math.max(before, Math.min(1, (questions - i) * p[order[i]]));
            adjusted[order[i]] = before;
        }
        return adjusted;
    }

    /** The arm that gives more than each of the others, by its place; empty where none does. */
    public OptionalInt best() {
        return IntStream.range(0, arms.size())
                .filter(a -> pairs.stream()
                                .filter(p -> p.isTold() && p.better() == a)
                                .count()
                        == arms.size() - 1)
                .findFirst();
    }

    /** What follows of it. */
    public Verdict verdict() {
        if (best().isPresent()) {
            return Verdict.BEST;
        }
        if (pairs.stream().anyMatch(Pair::isTold)) {
            return Verdict.SOME;
        }
        boolean all = pairs.size() == arms.size() * (arms.size() - 1) / 2;
        return all && pairs.stream().allMatch(p -> p.result().verdict() == TrialResult.Verdict.ALIKE)
                ? Verdict.ALIKE
                : Verdict.OPEN;
    }

    /** The verdict, then what each arm came to; of two arms one sentence that holds both. */
    public List<Statement> says() {
        if (arms.size() == 2) {
            return List.of(pairs.get(0).result().says());
        }
        List<Statement> said = new ArrayList<>();
        Pair plainest =
                pairs.stream().min(Comparator.comparingDouble(Pair::chance)).orElseThrow();
        said.add(Statement.of(
                verdict(),
                "best",
                arms.get(best().orElse(plainest.better())),
                "worse",
                arms.get(plainest.worse()),
                "arms",
                arms.size()));
        for (int a = 0; a < arms.size(); a++) {
            int arm = a;
            said.add(Statement.of(
                    Counted.ARM,
                    "arm",
                    arms.get(a),
                    "kept",
                    trays.stream().mapToInt(t -> t.kept().get(arm)).sum(),
                    "of",
                    trays.stream().mapToInt(t -> t.of().get(arm)).sum()));
        }
        return said;
    }
}
