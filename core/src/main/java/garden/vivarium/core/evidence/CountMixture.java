package garden.vivarium.core.evidence;

/**
 * How many of several groups of pieces are there, over many values of what is not known: for each value pieces of a group are
 * there with a chance of that group, independently. Values whose chances are alike, on a fine scale of arcsin √q in which a
 * binomial count is as wide everywhere, are put together before counts are convolved: thousands of values then cost no more than
 * some hundred.
 */
final class CountMixture {

    /** Cells that keep chances to five figures for some thousand pieces. */
    static final int FINE = 1024;

    /** Cells that keep them to three, where they are averaged over many others anyway. */
    static final int ROUGH = 200;

    private final int[] pieces;
    private final double all;
    private final double[] weights;
    private final double[][] chances;

    /**
     * Nothing so far.
     *
     * @param pieces of each group, 0 and up
     * @param cells how finely chances are told apart
     */
    CountMixture(int[] pieces, int cells) {
        this.pieces = pieces;
        int sum = 0;
        for (int n : pieces) {
            sum += n;
        }
        this.all = Math.max(1, sum);
        this.weights = new double[cells];
        this.chances = new double[cells][];
    }

    /** One value more, with the chance of a piece of each group there. */
    void add(double weight, double[] chance) {
        double mean = 0;
        for (int g = 0; g < pieces.length; g++) {
            mean += pieces[g] * chance[g];
        }
        double share = Math.max(0, Math.min(1, mean / all));
        int cell = Math.min(weights.length - 1, (int) (weights.length * 2 / Math.PI * Math.asin(Math.sqrt(share))));
        if (chances[cell] == null) {
            chances[cell] = new double[pieces.length];
        }
        weights[cell] += weight;
        for (int g = 0; g < pieces.length; g++) {
            chances[cell][g] += weight * chance[g];
        }
    }

    /** The chances of 0, 1, 2, … there, weights summing to what was added. */
    double[] distribution() {
        double[] sum = new double[total() + 1];
        for (int cell = 0; cell < weights.length; cell++) {
            double weight = weights[cell];
            if (weight > 0) {
                double[] here = {1};
                for (int g = 0; g < pieces.length; g++) {
                    here = Binomial.and(here, pieces[g], chances[cell][g] / weight);
                }
                for (int k = 0; k < here.length; k++) {
                    sum[k] += weight * here[k];
                }
            }
        }
        return sum;
    }

    private int total() {
        int sum = 0;
        for (int n : pieces) {
            sum += n;
        }
        return sum;
    }
}
