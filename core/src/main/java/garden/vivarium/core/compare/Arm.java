package garden.vivarium.core.compare;

import garden.vivarium.core.evidence.BatchCount;
import java.util.List;

/**
 * One side of a comparison: what its own batches say of its rate, from Beta(1, 1) with effective counts. Nothing is borrowed.
 *
 * @param alpha 1 and what was kept, in effective pieces
 * @param beta 1 and what was not
 * @param batches how many they are worth, 0 and up
 */
public record Arm(double alpha, double beta, int batches) {

    public Arm {
        if (!(alpha > 0) || !(beta > 0) || batches < 0) {
            throw new IllegalArgumentException(
                    "an arm has a beta distribution, not %s, %s of %d".formatted(alpha, beta, batches));
        }
    }

    /**
     * The arm of some batches.
     *
     * @param rho how alike pieces of one batch are, 0 to 1
     */
    public static Arm of(List<BatchCount> counts, double rho) {
        return of(counts, counts.stream().map(c -> 1.0).toList(), rho);
    }

    /**
     * The arm of some batches that count in part, since they share something with others of it.
     *
     * @param shares of each, above 0, up to 1
     */
    static Arm of(List<BatchCount> counts, List<Double> shares, double rho) {
        double kept = 0;
        double all = 0;
        double batches = 0;
        for (int i = 0; i < counts.size(); i++) {
            BatchCount c = counts.get(i);
            double effective = shares.get(i) * c.effectivePieces(rho);
            kept += c.kept() * effective / c.of();
            all += effective;
            batches += shares.get(i);
        }
        return new Arm(1 + kept, 1 + all - kept, (int) Math.round(batches));
    }

    /** Its rate in the mean. */
    public double mean() {
        return alpha / (alpha + beta);
    }

    /** Effective pieces that it rests on. */
    public double pieces() {
        return alpha + beta - 2;
    }
}
