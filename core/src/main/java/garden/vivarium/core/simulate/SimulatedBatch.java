package garden.vivarium.core.simulate;

import garden.vivarium.core.looks.PieceState;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.random.RandomDataGenerator;

/**
 * A batch whose every piece has its true days. What a look on some day would see follows from them.
 */
public final class SimulatedBatch {

    private static final double NEVER = Double.POSITIVE_INFINITY;

    private final List<Piece> pieces;

    private SimulatedBatch(List<Piece> pieces) {
        this.pieces = List.copyOf(pieces);
    }

    private record Piece(double firstSign, double ready, double lost) {}

    /** How the pieces stand on a day, as a look that can know all would see it. */
    public record Seen(int firstSign, int ready, int lost) {}

    /** Draws a batch of the given size from the truth. */
    public static SimulatedBatch draw(TrueRates truth, int stuck, RandomDataGenerator random) {
        double strength = (1 - truth.rho()) / truth.rho();
        double rate = random.nextBeta(truth.rate() * strength, (1 - truth.rate()) * strength);
        double speed = truth.tau() == 0 ? 0 : random.nextNormal(0, truth.tau());
        double sigma = truth.ready().sigma();
        double within = Math.sqrt(Math.max(0.01, sigma * sigma - truth.tau() * truth.tau()));
        List<Piece> pieces = new ArrayList<>();
        for (int i = 0; i < stuck; i++) {
            // One piece is early or late in both milestones alike, so first sign always comes before ready.
            double own = speed + random.nextNormal(0, within);
            boolean strikes = random.nextUniform(0, 1) < rate;
            if (strikes) {
                double ready = Math.exp(truth.ready().mu() + own);
                double first = truth.firstSign()
                        .map(f -> Math.min(0.9 * ready, Math.exp(f.mu() + own)))
                        .orElse(NEVER);
                pieces.add(new Piece(first, ready, NEVER));
            } else {
                boolean seenLost = random.nextUniform(0, 1) < truth.lostShare();
                double lost = seenLost ? truth.ready().d90() * random.nextUniform(0.15, 1.1) : NEVER;
                pieces.add(new Piece(NEVER, NEVER, lost));
            }
        }
        return new SimulatedBatch(pieces);
    }

    /** What a whole look on the day sees, counted so far. */
    public Seen on(int day) {
        int first = 0;
        int ready = 0;
        int lost = 0;
        for (Piece p : pieces) {
            first += Math.min(p.firstSign(), p.ready()) <= day ? 1 : 0;
            ready += p.ready() <= day ? 1 : 0;
            lost += p.lost() <= day ? 1 : 0;
        }
        return new Seen(first, ready, lost);
    }

    /** The day on which a piece, counted from 0, becomes ready; infinite where it never does. */
    double readyOn(int piece) {
        return pieces.get(piece).ready();
    }

    /** The state of each piece on the day, in order of their numbers. */
    public List<PieceState> states(int day) {
        return pieces.stream().map(p -> state(p, day)).toList();
    }

    private static PieceState state(Piece p, int day) {
        if (p.lost() <= day) {
            return PieceState.LOST;
        }
        if (p.ready() <= day) {
            return PieceState.READY;
        }
        return p.firstSign() <= day ? PieceState.FIRST_SIGN : PieceState.NONE;
    }
}
