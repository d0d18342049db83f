package garden.vivarium.core.evidence;

import java.util.Arrays;

/** Nodes of p, x and H with their weights, which sum to one. */
final class RunningNodes {

    final double[] aways;
    double[] weights;
    double[] rates;
    byte[] shown;
    short[] speeds;
    private int count;
    double logEvidence;

    RunningNodes(int speeds, int most) {
        aways = new double[speeds];
        weights = new double[most];
        rates = new double[most];
        shown = new byte[most];
        this.speeds = new short[most];
    }

    void add(double logWeight, double rate, int speed, int h) {
        weights[count] = logWeight;
        rates[count] = rate;
        speeds[count] = (short) speed;
        shown[count] = (byte) h;
        count++;
    }

    /** Turns logarithms into weights, and drops nodes that cannot be told from nothing. */
    void normalise(double dropped) {
        double best = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < count; i++) {
            best = Math.max(best, weights[i]);
        }
        double all = 0;
        for (int i = 0; i < count; i++) {
            weights[i] = Math.exp(weights[i] - best);
            all += weights[i];
        }
        logEvidence = best + Math.log(all);
        int kept = 0;
        double keptWeight = 0;
        for (int i = 0; i < count; i++) {
            double w = weights[i] / all;
            if (w >= dropped) {
                weights[kept] = w;
                rates[kept] = rates[i];
                speeds[kept] = speeds[i];
                shown[kept] = shown[i];
                keptWeight += w;
                kept++;
            }
        }
        count = kept;
        weights = Arrays.copyOf(weights, kept);
        rates = Arrays.copyOf(rates, kept);
        speeds = Arrays.copyOf(speeds, kept);
        shown = Arrays.copyOf(shown, kept);
        for (int i = 0; i < kept; i++) {
            weights[i] /= keptWeight;
        }
    }

    int size() {
        return count;
    }

    double mean() {
        double sum = 0;
        for (int i = 0; i < count; i++) {
            sum += weights[i] * rates[i];
        }
        return sum;
    }

    double variance() {
        double mean = mean();
        double sum = 0;
        for (int i = 0; i < count; i++) {
            sum += weights[i] * (rates[i] - mean) * (rates[i] - mean);
        }
        return sum;
    }
}
