package garden.vivarium.core.plan;

import java.util.List;

/**
 * Hunches of how many would become ready, beside what was reckoned and what came, in pieces of a hundred so that large batches
 * and small count alike.
 *
 * @param batches how many batches had a hunch
 * @param bias how far the hunches lay above what came, on average; negative below
 * @param miss how far they lay from it, either way, on average
 * @param reckonedBias the same of what was reckoned
 * @param reckonedMiss the same of what was reckoned
 * @param nearer batches in which the hunch lay nearer than what was reckoned; as near counts half
 */
public record Hunches(int batches, double bias, double miss, double reckonedBias, double reckonedMiss, double nearer) {

    /** How far the hunches lay from what came, on average, to whichever side. */
    public double biasAbs() {
        return Math.abs(bias);
    }

    /** Whether they lay below. */
    public boolean isLow() {
        return bias < 0;
    }

    /**
     * One batch.
     *
     * @param stuck pieces, 1 and up
     * @param hunch how many the grower thought would become ready
     * @param reckoned how many were to be expected
     * @param ready how many did
     */
    public record Guess(int stuck, double hunch, double reckoned, int ready) {

        double off() {
            return 100 * (hunch - ready) / stuck;
        }

        double reckonedOff() {
            return 100 * (reckoned - ready) / stuck;
        }
    }

    /** Compares hunches with what came; there must be one at least. */
    public static Hunches of(List<Guess> guesses) {
        if (guesses.isEmpty()) {
            throw new IllegalArgumentException("nobody has guessed");
        }
        return new Hunches(
                guesses.size(),
                guesses.stream().mapToDouble(Guess::off).average().orElseThrow(),
                guesses.stream().mapToDouble(g -> Math.abs(g.off())).average().orElseThrow(),
                guesses.stream().mapToDouble(Guess::reckonedOff).average().orElseThrow(),
                guesses.stream()
                        .mapToDouble(g -> Math.abs(g.reckonedOff()))
                        .average()
                        .orElseThrow(),
                guesses.stream()
                        .mapToDouble(g -> {
                            int nearer = Double.compare(Math.abs(g.reckonedOff()), Math.abs(g.off()));
                            return nearer > 0 ? 1 : nearer == 0 ? 0.5 : 0;
                        })
                        .sum());
    }
}
