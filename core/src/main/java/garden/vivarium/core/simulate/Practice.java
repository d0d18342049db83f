package garden.vivarium.core.simulate;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.looks.PieceState;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.hipparchus.random.RandomDataGenerator;

/**
 * A practice tray: a simulated batch, run day by day. The learner decides when to look, when to move, and when to close; what is not looked at is not
 * seen. It is scored in young plants, less what looks and days on the bench cost, against the best days in hindsight. Costs are round figures of this
 * project's own, so that neither a daily look nor none at all does well.
 */
public final class Practice {

    /** A look costs as much as so many young plants. */
    public static final double LOOK = 0.3;

    /** A day of the tray on the bench. */
    public static final double DAY = 0.08;

    /** Of those moved after they stood too long, so much of the rest settles. */
    public static final double TOO_LATE = 0.6;

    /** The last day of any tray. */
    public static final int LAST = 400;

    private final Way way;
    private final SimulatedBatch batch;
    private final int pieces;
    private final List<Act> acts;
    private final int[] movedOn;
    private List<PieceState> seen;
    private int lastLook;

    /**
     * How a practice tray behaves.
     *
     * @param truth of its way
     * @param tooLong days after ready by which a piece should be moved
     * @param settles share of pieces moved in time that settle, 0 to 1
     */
    public record Way(TrueRates truth, int tooLong, double settles) {}

    /** What the learner did on a day, 0 and up: in order of days. */
    public record Act(int day, What what) {}

    /** What can be done. */
    public enum What {
        /** A whole look that can know. */
        LOOK,
        /** Those that were ready at the last look are moved. */
        MOVE,
        /** The rest is given up. */
        CLOSE
    }

    private Practice(Way way, int pieces, long seed, List<Act> acts) {
        this.way = way;
        this.pieces = pieces;
        this.batch = SimulatedBatch.draw(way.truth(), pieces, new RandomDataGenerator(seed));
        this.acts = List.copyOf(acts);
        this.movedOn = new int[pieces];
        this.seen = Collections.nCopies(pieces, PieceState.NONE);
        java.util.Arrays.fill(movedOn, -1);
        this.acts.forEach(this::act);
    }

    /**
     * Plays a tray from the day stuck.
     *
     * @param pieces 1 and up
     * @param seed of the tray; the same one always behaves alike
     * @param acts what was done; none goes back in time, and nothing follows a close
     */
    public static Practice play(Way way, int pieces, long seed, List<Act> acts) {
        int before = 0;
        for (int i = 0; i < acts.size(); i++) {
            Act a = acts.get(i);
            boolean afterClose = i > 0 && acts.get(i - 1).what() == What.CLOSE;
            if (a.day() < before || a.day() > LAST || afterClose) {
                throw new IllegalArgumentException("acts go forward in time, and end with the tray");
            }
            before = a.day();
        }
        return new Practice(way, pieces, seed, acts);
    }

    private void act(Act act) {
        switch (act.what()) {
            case LOOK -> {
                List<PieceState> now = batch.states(act.day());
                List<PieceState> next = new ArrayList<>();
                for (int i = 0; i < pieces; i++) {
                    next.add(movedOn[i] < 0 ? now.get(i) : seen.get(i));
                }
                seen = next;
                lastLook = act.day();
            }
            case MOVE -> {
                for (int i = 0; i < pieces; i++) {
                    if (movedOn[i] < 0 && seen.get(i) == PieceState.READY) {
                        movedOn[i] = act.day();
                    }
                }
            }
            case CLOSE -> {
                // What was not moved is given up.
            }
        }
    }

    /** How each piece was at the last look that saw it, the first piece first. */
    public List<PieceState> seen() {
        return seen;
    }

    /** The day of the last look; 0 for none. */
    public int lastLook() {
        return lastLook;
    }

    /** Whether a piece, counted from 0, was moved. */
    public boolean isMoved(int piece) {
        return movedOn[piece] >= 0;
    }

    /** How many were moved. */
    public int moved() {
        return (int) java.util.Arrays.stream(movedOn).filter(d -> d >= 0).count();
    }

    /** Whether the tray is closed. */
    public boolean isOver() {
        return !acts.isEmpty() && acts.get(acts.size() - 1).what() == What.CLOSE;
    }

    /** Why a score is not the best. */
    public enum Reason implements Rule {
        /** So many {@code pieces} stood ready too long. */
        STOOD_TOO_LONG,
        /** So many {@code pieces} would yet have come by day {@code best}. */
        CLOSED_EARLY,
        /** It stood {@code days} longer than paid. */
        CLOSED_LATE,
        /** {@code looks}, where {@code best} would have done. */
        MANY_LOOKS,
        /** {@code pieces} were seen ready and never moved. */
        NOT_MOVED,
        /** As good as it gets, but for luck. */
        WELL_DONE
    }

    /**
     * What a tray came to.
     *
     * @param youngPlants that settle, in the mean
     * @param looks how many
     * @param days on the bench
     * @param points young plants less the cost of looks and days
     * @param best the most points that were there in hindsight
     * @param bestDays on which to look and move for them, the last of which closes the tray
     * @param reasons why it was not more
     */
    public record Score(
            double youngPlants,
            int looks,
            int days,
            double points,
            double best,
            List<Integer> bestDays,
            List<Statement> reasons) {

        /** Of the best, 0 to 1. */
        public double share() {
            return best <= 0 ? 1 : Math.max(0, Math.min(1, points / best));
        }
    }

    /** The score; the tray counts as closed on the day of the last act. */
    public Score score() {
        int closed = acts.isEmpty() ? 0 : acts.get(acts.size() - 1).day();
        int looks = (int) acts.stream().filter(a -> a.what() == What.LOOK).count();
        double plants = 0;
        int late = 0;
        for (int i = 0; i < pieces; i++) {
            if (movedOn[i] >= 0) {
                boolean stood = movedOn[i] - batch.readyOn(i) > way.tooLong();
                late += stood ? 1 : 0;
                plants += way.settles() * (stood ? TOO_LATE : 1);
            }
        }
        double points = plants - LOOK * looks - DAY * closed;
        Best best = best();
        return new Score(
                plants, looks, closed, points, best.points(), best.days(), reasons(closed, looks, late, points, best));
    }

    private List<Statement> reasons(int closed, int looks, int late, double points, Best best) {
        List<Statement> reasons = new ArrayList<>();
        int bestClose = best.days().isEmpty() ? 0 : best.days().get(best.days().size() - 1);
        if (late > 0) {
            reasons.add(Statement.of(Reason.STOOD_TOO_LONG, "pieces", late, "limit", way.tooLong()));
        }
        long unmoved = 0;
        long toCome = 0;
        for (int i = 0; i < pieces; i++) {
            unmoved += movedOn[i] < 0 && seen.get(i) == PieceState.READY ? 1 : 0;
            toCome += movedOn[i] < 0 && seen.get(i) != PieceState.READY && batch.readyOn(i) <= bestClose ? 1 : 0;
        }
        if (unmoved > 0) {
            reasons.add(Statement.of(Reason.NOT_MOVED, "pieces", unmoved));
        }
        if (toCome > 0) {
            reasons.add(Statement.of(Reason.CLOSED_EARLY, "pieces", toCome, "best", bestClose));
        }
        if (closed > bestClose + 3) {
            reasons.add(Statement.of(Reason.CLOSED_LATE, "days", closed - bestClose));
        }
        if (looks > best.days().size() + 1) {
            reasons.add(Statement.of(
                    Reason.MANY_LOOKS, "looks", looks, "best", best.days().size()));
        }
        if (reasons.isEmpty() || points >= 0.95 * best.points()) {
            reasons.add(
                    0,
                    Statement.of(
                            Reason.WELL_DONE, "share", best.points() <= 0 ? 1 : Math.min(1, points / best.points())));
        }
        return reasons;
    }

    private record Best(double points, List<Integer> days) {}

    /** The best days of hindsight: each piece goes at the first of them on which it is ready; by dynamic programming over days. */
    private Best best() {
        int until = 0;
        for (int i = 0; i < pieces; i++) {
            double ready = batch.readyOn(i);
            until = ready <= LAST ? Math.max(until, (int) Math.ceil(ready)) : until;
        }
        double[] value = new double[until + 1];
        int[] before = new int[until + 1];
        double most = 0;
        int last = 0;
        for (int day = 1; day <= until; day++) {
            value[day] = Double.NEGATIVE_INFINITY;
            for (int from = 0; from < day; from++) {
                double gained = 0;
                for (int i = 0; i < pieces; i++) {
                    double ready = batch.readyOn(i);
                    if (ready > from && ready <= day) {
                        gained += way.settles() * (day - ready > way.tooLong() ? TOO_LATE : 1);
                    }
                }
                double here = value[from] + gained - LOOK - DAY * (day - from);
                if (here > value[day]) {
                    value[day] = here;
                    before[day] = from;
                }
            }
            if (value[day] > most) {
                most = value[day];
                last = day;
            }
        }
        List<Integer> days = new ArrayList<>();
        for (int day = last; day > 0; day = before[day]) {
            days.add(0, day);
        }
        return new Best(most, days);
    }
}
