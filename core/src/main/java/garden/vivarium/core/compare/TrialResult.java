package garden.vivarium.core.compare;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.util.ArrayList;
import java.util.List;

/**
 * What a trial of two arms came to, by its trays as it was laid out: the exact test on counts as they are, the difference within trays with its
 * interval, and what follows for the work.
 *
 * @param firstArm what the first arm was
 * @param secondArm what the second was
 * @param strata counts by tray
 * @param exact the exact test
 * @param difference the first's rate less the second's, within trays
 */
public record TrialResult(String firstArm, String secondArm, Strata strata, Strata.Exact exact, Difference difference) {

    private static final double TWO_SIDED = 0.05;

    /** What follows. */
    public enum Verdict implements Rule {
        /** The first arm gives more. */
        FIRST,
        /** The second gives more. */
        SECOND,
        /** They are alike to one in ten. */
        ALIKE,
        /** Not told; it {@code leans} where the difference by itself would lie to one side nine times in ten. */
        OPEN
    }

    /** A tray's pieces that were judged: of each arm, how many were kept. */
    public record Tray(String name, int keptFirst, int ofFirst, int keptSecond, int ofSecond) {}

    /**
     * Reads a trial.
     *
     * @throws IllegalArgumentException if no tray has judged pieces of both arms
     */
    public static TrialResult of(String first, String second, List<Tray> trays) {
        List<Strata.Table> tables = new ArrayList<>();
        trays.forEach(t -> tables.add(new Strata.Table(
                t.name(), t.keptFirst(), t.ofFirst() - t.keptFirst(), t.keptSecond(), t.ofSecond() - t.keptSecond())));
        Strata strata = Strata.of(tables);
        if (strata.isEmpty()) {
            throw new IllegalArgumentException("no tray has judged pieces of both arms");
        }
        int pieces = trays.stream().mapToInt(t -> t.ofFirst() + t.ofSecond()).sum();
        // Drawn by lot within trays, pieces are the units.
        Difference difference =
                strata.difference(Math.max(1, pieces - strata.tables().size() - 1));
        return new TrialResult(first, second, strata, strata.exact(), difference);
    }

    /** What follows of it. */
    public Verdict verdict() {
        if (exact.p() <= TWO_SIDED) {
            return difference.mean() > 0 ? Verdict.FIRST : Verdict.SECOND;
        }
        return difference.low() > -Comparison.MATTERS && difference.high() < Comparison.MATTERS
                ? Verdict.ALIKE
                : Verdict.OPEN;
    }

    private static double share(double kept, double of) {
        return of == 0 ? 0 : kept / of;
    }

    /** The verdict with its figures. */
    public Statement says() {
        double keptA = strata.tables().stream().mapToDouble(Strata.Table::keptA).sum();
        double keptB = strata.tables().stream().mapToDouble(Strata.Table::keptB).sum();
        double ofA = strata.tables().stream().mapToDouble(Strata.Table::a).sum();
        double ofB = strata.tables().stream().mapToDouble(Strata.Table::b).sum();
        return Statement.of(
                verdict(),
                "first",
                firstArm,
                "second",
                secondArm,
                "keptA",
                Math.round(keptA),
                "ofA",
                Math.round(ofA),
                "keptB",
                Math.round(keptB),
                "ofB",
                Math.round(ofB),
                "a",
                share(keptA, ofA),
                "b",
                share(keptB, ofB),
                "low",
                difference.low(),
                "high",
                difference.high(),
                "leans",
                difference.low() > 0 || difference.high() < 0,
                "p",
                Math.max(0.001, exact.p()));
    }
}
