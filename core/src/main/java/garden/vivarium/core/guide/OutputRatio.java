package garden.vivarium.core.guide;

import java.util.Arrays;
import java.util.List;

/**
 * How many young plants one ready piece yields: a distribution over 1, 2, 3 and so on.
 *
 * @param chances chance of one, of two, of three…; they sum to one
 */
public record OutputRatio(List<Double> chances) {

    private static final OutputRatio ONE = new OutputRatio(List.of(1.0));

    public OutputRatio {
        chances = List.copyOf(chances);
        double sum = chances.stream().mapToDouble(Double::doubleValue).sum();
        if (chances.isEmpty() || chances.stream().anyMatch(c -> !(c >= 0)) || Math.abs(sum - 1) > 1e-9) {
            throw new IllegalArgumentException(
                    "the chances of one, two, three… young plants sum to one, not to " + sum);
        }
    }

    /** One young plant a piece. */
    public static OutputRatio one() {
        return ONE;
    }

    public boolean isOne() {
        return chances.size() == 1;
    }

    /** Young plants a ready piece yields on average. */
    public double mean() {
        double sum = 0;
        for (int i = 0; i < chances.size(); i++) {
            sum += (i + 1) * chances.get(i);
        }
        return sum;
    }

    /**
     * The chance that 0, 1, 2… ready pieces together yield {@code needed} young plants or more, by convolution. From
     * {@code needed} pieces on it is one, where the array ends.
     *
     * @param needed 0 and up
     */
    public double[] chancesOfAtLeast(int needed) {
        double[] enough = new double[needed + 1];
        // at[y] is the chance of y young plants so far, the last entry of "needed or more".
        double[] at = new double[needed + 1];
        at[0] = 1;
        enough[0] = needed == 0 ? 1 : 0;
        for (int piece = 1; piece <= needed; piece++) {
            double[] next = new double[needed + 1];
            for (int y = 0; y <= needed; y++) {
                if (at[y] > 0) {
                    for (int more = 1; more <= chances.size(); more++) {
                        next[Math.min(needed, y + more)] += at[y] * chances.get(more - 1);
                    }
                }
            }
            at = next;
            enough[piece] = at[needed];
        }
        return enough;
    }

    @Override
    public String toString() {
        return Arrays.toString(chances.toArray());
    }
}
