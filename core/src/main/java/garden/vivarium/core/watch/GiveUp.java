package garden.vivarium.core.watch;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.RunningBatch;
import java.util.Set;
import java.util.TreeSet;

/**
 * Pieces that are proposed as stalled: pending ones whose chance of ever being ready, by what is known of the batch itself, is
 * below 0.05. A piece that was last seen firm is not proposed without saying so.
 *
 * @param pieces how many are proposed
 * @param waiting how many wait in all
 * @param chance the chance that one of those proposed is ever ready
 * @param lastLook the last day on which those proposed were looked at
 * @param looks all days on which those proposed were last looked at
 */
public record GiveUp(int pieces, int waiting, double chance, int lastLook, Set<Integer> looks) {

    /** Below this chance a piece is proposed as stalled. */
    public static final double HARDLY = 0.05;

    /** What is to be said of a batch in which something is pending. */
    public static GiveUp of(RunningBatch batch) {
        int waiting = 0;
        int pieces = 0;
        double sum = 0;
        int last = 0;
        Set<Integer> looks = new TreeSet<>();
        for (RunningBatch.Waiting w : batch.waiting()) {
            waiting += w.pieces();
            if (w.everReady() < HARDLY) {
                pieces += w.pieces();
                sum += w.pieces() * w.everReady();
                last = Math.max(last, w.after());
                looks.add(w.after());
            }
        }
        return new GiveUp(pieces, waiting, pieces == 0 ? 0 : sum / pieces, last, looks);
    }

    /** Whether a piece that waits is proposed, by the day of the last look that could know of it. */
    public boolean isProposed(int lastLooked) {
        return looks.contains(lastLooked);
    }

    /** Whether every piece that waits is proposed. */
    public boolean isAll() {
        return pieces > 0 && pieces == waiting;
    }

    /** Question and steps of its working. */
    public enum Step implements Rule {
        /** Will they ever be ready. */
        EVER,
        /** Of {@code pieces} last looked at by day {@code last} one has {@code chance}. */
        CHANCE,
        /** They are proposed as stalled below {@code hardly}. */
        PROPOSED
    }

    /** How it came about. */
    public Working working() {
        return Working.of(
                Statement.of(Step.EVER, "pieces", pieces, "chance", chance, "hardly", HARDLY),
                Statement.of(Step.CHANCE, "pieces", pieces, "last", lastLook, "chance", chance),
                Statement.of(Step.PROPOSED, "hardly", HARDLY));
    }
}
