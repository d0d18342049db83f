package garden.vivarium.core.evidence;

import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/**
 * One step towards the maximum of a concave log-likelihood L over masses p ≥ 0 with Σp = 1. Adding −W(Σp − 1), W the total
 * weight, makes the sum come out at one by itself, since L grows by W·ln c when all masses are multiplied by c. The
 * quadratic approximation of that is maximised one mass at a time, none below nought; then the step is halved until the
 * likelihood grows.
 */
final class QuadraticStep {

    private static final int SWEEPS = 60;
    private static final double ENOUGH = 1e-2;
    private static final int HALVINGS = 30;

    private QuadraticStep() {}

    /**
     * The masses after one step; the same masses where none is better.
     *
     * @param p masses now
     * @param slope ∂L/∂p at p
     * @param total W
     * @param curvature −∂²L/∂p² at p
     * @param logLikelihood L
     * @param now L at p
     */
    static double[] from(
            double[] p,
            double[] slope,
            double total,
            double[][] curvature,
            ToDoubleFunction<double[]> logLikelihood,
            double now) {
        // Masses at nought that would rather be below it take no part.
        int[] free = IntStream.range(0, p.length)
                .filter(j -> p[j] > 0 || slope[j] > total)
                .toArray();
        double[] step = new double[p.length];
        double[] pull = new double[p.length];
        for (int j : free) {
            pull[j] = slope[j] - total;
        }
        double first = 0;
        for (int sweep = 0; sweep < SWEEPS; sweep++) {
            double most = 0;
            for (int j : free) {
                double bend = curvature[j][j] * (1 + 1e-12);
                double change = Math.max(-p[j] - step[j], pull[j] / bend);
                if (change != 0) {
                    step[j] += change;
                    double[] row = curvature[j];
                    for (int k : free) {
                        pull[k] -= change * row[k];
                    }
                    most = Math.max(most, Math.abs(change));
                }
            }
            // The step need not be exact: the next one starts from a better quadratic anyway.
            first = sweep == 0 ? most : first;
            if (most < 1e-13 || most < ENOUGH * first) {
                break;
            }
        }
        double part = 1;
        for (int halving = 0; halving < HALVINGS; halving++) {
            double[] next = moved(p, step, part);
            if (logLikelihood.applyAsDouble(next) > now) {
                return next;
            }
            part /= 2;
        }
        return p;
    }

    private static double[] moved(double[] p, double[] step, double part) {
        double[] next = new double[p.length];
        double sum = 0;
        for (int j = 0; j < p.length; j++) {
            double value = p[j] + part * step[j];
            // What is left of a mass beside rounding is nought.
            next[j] = value < 1e-15 ? 0 : value;
            sum += next[j];
        }
        for (int j = 0; j < p.length; j++) {
            next[j] /= sum;
        }
        return next;
    }
}
