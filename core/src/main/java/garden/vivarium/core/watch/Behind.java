package garden.vivarium.core.watch;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.BatchPrior;
import garden.vivarium.core.evidence.ReadyTail;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;

/**
 * Whether a batch is behind its usual, judged at each look that could know, by what was known by then, against what the nursery
 * knew when it was stuck.
 *
 * <p><b>Few</b>: the chance of so few or fewer at their milestone is below 0.03 at two looks running, or 0.006 at one. <b>Slow</b>:
 * what was seen is fifteen times as likely, or more, of a way that runs 1.35 times slower. <b>Late</b> is a notice, not an alarm: a
 * look past the day by which one in ten show a first sign found none; past the median it is said again. <b>Ahead</b>: the chance of so many ready or
 * more, by the limits of few; that is welcome, and strange only where it is sooner than one batch in fifty.
 *
 * @param looks the last two looks that could know, in order of day, or the one there is
 */
public record Behind(List<Judged> looks) {

    private static final double LOW = 0.03;
    private static final double VERY_LOW = 0.006;
    private static final double SLOWER = Math.log(1.35);
    private static final double TIMES = 15;
    private static final double ONE_IN_FIFTY = 0.02;

    public Behind {
        looks = List.copyOf(looks);
        if (looks.isEmpty()) {
            throw new IllegalArgumentException("a batch cannot be judged before its first look");
        }
    }

    /**
     * One milestone at one look.
     *
     * @param reached k, pieces that were there
     * @param pieces n, pieces of which something was known
     * @param expected how many were to be expected
     * @param tail the chance of k or fewer
     * @param slow how many times likelier what was seen is of a way that runs 1.35 times slower
     * @param head the chance of k or more
     */
    public record Seen(int reached, int pieces, double expected, double tail, double slow, double head) {

        /** What was known by a look, against what was expected; empty where nothing was known. */
        static Optional<Seen> of(BatchPrior prior, Tallies known) {
            ReadyTail tail = ReadyTail.of(prior.rate(), prior.time(), known);
            if (tail.pieces() == 0) {
                return Optional.empty();
            }
            int reached = (int) known.total(Outcome.REACHED);
            BatchPrior asked = prior.remembered();
            double usual = RunningBatch.logEvidence(asked, known);
            double slower = RunningBatch.logEvidence(asked.slower(SLOWER), known);
            return Optional.of(new Seen(
                    reached,
                    tail.pieces(),
                    tail.mean(),
                    tail.atMost(reached),
                    Math.exp(slower - usual),
                    reached == 0 ? 1 : 1 - tail.atMost(reached - 1)));
        }
    }

    /**
     * One look.
     *
     * @param day days since the day stuck
     * @param ready what it says of ready
     * @param firstSign what it says of first sign, where there is one
     * @param late whether no first sign was there past its day
     * @param lateFrom that day, rounded; 0 where it is not late
     * @param soon whether it comes sooner than one batch in fifty has any ready, by how unsure times are
     */
    public record Judged(int day, Seen ready, Optional<Seen> firstSign, Late late, int lateFrom, boolean soon) {

        private double tail() {
            return Math.min(ready.tail(), firstSign.map(Seen::tail).orElse(1.0));
        }

        private boolean isBelow(double limit) {
            return tail() < limit;
        }

        /** The milestone of which what was seen speaks most for slowness. */
        public Seen slowest() {
            return isSlowestByFirstSign() ? firstSign.orElseThrow() : ready;
        }

        /** Whether that is the first sign. */
        public boolean isSlowestByFirstSign() {
            return firstSign.filter(s -> s.slow() > ready.slow()).isPresent();
        }

        /** The milestone that is further behind. */
        public Seen furthest() {
            return isFurthestByFirstSign() ? firstSign.orElseThrow() : ready;
        }

        /** Whether that is the first sign. */
        public boolean isFurthestByFirstSign() {
            return firstSign.filter(s -> s.tail() < ready.tail()).isPresent();
        }
    }

    /** Whether no first sign was there though it was to be expected. */
    public enum Late {
        /** Not late, or first signs are there. */
        NO,
        /** Past the day by which one in ten show it. */
        PAST_THE_TENTH,
        /** Past the day by which half show it. */
        PAST_THE_MEDIAN
    }

    /** What is said of it. */
    public enum Verdict {
        /** As usual, or nothing to say. */
        AS_USUAL,
        /** No first sign yet, past its day: a notice. */
        LATE,
        /** It runs slower than usual: an alarm. */
        SLOW,
        /** Fewer are there than usual: an alarm. */
        FEW,
        /** More are ready than usual by now: good news, and worth asking why. */
        AHEAD;

        /** Whether it is good news. */
        public boolean isAhead() {
            return this == AHEAD;
        }
    }

    /**
     * What was reckoned of a batch's last looks. A look is dear to judge, and most stand as they were when another is added.
     * Safe for one thread at a time.
     */
    public static final class Memory {

        private Map<Asked, Optional<Seen>> before = Map.of();
        private Map<Asked, Optional<Seen>> now = new HashMap<>();

        private record Asked(BatchPrior prior, Tallies known) {}

        private Optional<Seen> seen(BatchPrior prior, Tallies known) {
            Asked asked = new Asked(prior, known);
            Optional<Seen> held = before.get(asked);
            return now.computeIfAbsent(asked, a -> held != null ? held : Seen.of(prior, known));
        }

        /** What was not asked for this time is forgotten. */
        private void keep() {
            before = now;
            now = new HashMap<>();
        }
    }

    /**
     * Judges the last two looks that could know.
     *
     * @param ready what was expected of ready when it was stuck
     * @param firstSign the same of first sign, where there is one
     * @param readyKnown tallies of ready as known by each look that could know of it
     * @param firstSignKnown tallies of first sign as known by each look that could know of it
     * @return empty before the first look that could know
     */
    public static Optional<Behind> of(
            BatchPrior ready,
            Optional<BatchPrior> firstSign,
            SortedMap<Integer, Tallies> readyKnown,
            SortedMap<Integer, Tallies> firstSignKnown) {
        return of(ready, firstSign, readyKnown, firstSignKnown, new Memory());
    }

    /**
     * The same for a batch some of whose looks may have been judged before.
     *
     * @param memory what was reckoned of them; holds what was reckoned now afterwards
     */
    public static Optional<Behind> of(
            BatchPrior ready,
            Optional<BatchPrior> firstSign,
            SortedMap<Integer, Tallies> readyKnown,
            SortedMap<Integer, Tallies> firstSignKnown,
            Memory memory) {
        List<Judged> looks = new ArrayList<>();
        lastTwo(readyKnown)
                .forEach((day, known) -> memory.seen(ready, known).ifPresent(seen -> {
                    Optional<Seen> sign = firstSign.flatMap(prior ->
                            Optional.ofNullable(firstSignKnown.get(day)).flatMap(t -> memory.seen(prior, t)));
                    looks.add(judged(
                            day, seen, sign, firstSign, day < ready.time().day(ONE_IN_FIFTY)));
                }));
        memory.keep();
        return looks.isEmpty() ? Optional.empty() : Optional.of(new Behind(looks));
    }

    /** Nothing is said of more. */
    private static SortedMap<Integer, Tallies> lastTwo(SortedMap<Integer, Tallies> known) {
        List<Integer> days = List.copyOf(known.keySet());
        return days.size() < 2 ? known : known.tailMap(days.get(days.size() - 2));
    }

    private static Judged judged(
            int day, Seen ready, Optional<Seen> sign, Optional<BatchPrior> firstSign, boolean soon) {
        if (sign.isPresent() && sign.get().reached() == 0 && ready.reached() == 0) {
            RootingTime time = firstSign.orElseThrow().time();
            double median = time.day(0.5);
            double tenth = time.day(0.1);
            if (day > median) {
                return new Judged(day, ready, sign, Late.PAST_THE_MEDIAN, (int) Math.round(median), soon);
            }
            if (day > tenth) {
                return new Judged(day, ready, sign, Late.PAST_THE_TENTH, (int) Math.round(tenth), soon);
            }
        }
        return new Judged(day, ready, sign, Late.NO, 0, soon);
    }

    /** The last look. */
    public Judged last() {
        return looks.get(looks.size() - 1);
    }

    /** What is said of it at the last look. What a slow way explains is called slow: most of it may still come. */
    public Verdict verdict() {
        if (last().slowest().slow() >= TIMES) {
            return Verdict.SLOW;
        }
        boolean few = last().isBelow(VERY_LOW)
                || (looks.size() > 1
                        && last().isBelow(LOW)
                        && looks.get(looks.size() - 2).isBelow(LOW));
        if (few) {
            return Verdict.FEW;
        }
        if (last().late() != Late.NO) {
            return Verdict.LATE;
        }
        return isAhead() ? Verdict.AHEAD : Verdict.AS_USUAL;
    }

    /** By the same limits as few: so many or more are ready at two looks running, or very seldom at one. */
    private boolean isAhead() {
        double head = last().ready().head();
        return head < VERY_LOW
                || (looks.size() > 1
                        && head < LOW
                        && looks.get(looks.size() - 2).ready().head() < LOW);
    }

    /** Whether an alarm is given. */
    public boolean isBehind() {
        return verdict() == Verdict.FEW || verdict() == Verdict.SLOW;
    }

    /** Question and steps of its working. */
    public enum Step implements Rule {
        /** Is it behind its usual. */
        IS_IT,
        /** On day {@code day} {@code reached} of {@code pieces} ready: chance {@code tail}, {@code slow} times likelier of a slow way. */
        READY,
        /** The same of first sign. */
        FIRST_SIGN
    }

    /** How it came about. */
    public Working working() {
        List<Statement> steps = new ArrayList<>();
        looks.stream().skip(Math.max(0, looks.size() - 2)).forEach(l -> {
            steps.add(step(Step.READY, l.day(), l.ready()));
            l.firstSign().ifPresent(s -> steps.add(step(Step.FIRST_SIGN, l.day(), s)));
        });
        Judged last = last();
        return new Working(
                Statement.of(
                        Step.IS_IT,
                        "day",
                        last.day(),
                        "reached",
                        last.ready().reached(),
                        "pieces",
                        last.ready().pieces(),
                        "tail",
                        last.ready().tail()),
                steps);
    }

    private static Statement step(Step of, int day, Seen s) {
        return Statement.of(
                of, "day", day, "reached", s.reached(), "pieces", s.pieces(), "tail", s.tail(), "slow", s.slow());
    }
}
