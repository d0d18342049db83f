package garden.vivarium.core.plan;

/**
 * A line of shares between nought and one onto which weights are laid so that sums of a smooth function over the line equal
 * sums over where the weights lay: each weight goes to the four nearest nodes in the proportions of cubic interpolation.
 * Nodes are even in arcsin √q, in which a binomial count is as wide everywhere.
 */
final class ShareGrid {

    private static final int CELLS = 288;
    private static final double[] NODES = new double[CELLS + 1];
    /** Reciprocals of Π(x_k − x_m) over the four nodes from g on. */
    private static final double[][] SCALES = new double[CELLS - 2][4];

    static {
        for (int g = 0; g <= CELLS; g++) {
            double sine = Math.sin(Math.PI / 2 * g / CELLS);
            NODES[g] = sine * sine;
        }
        NODES[CELLS] = 1;
        for (int g = 0; g < SCALES.length; g++) {
            for (int k = 0; k < 4; k++) {
                double product = 1;
                for (int m = 0; m < 4; m++) {
                    product *= m == k ? 1 : NODES[g + k] - NODES[g + m];
                }
                SCALES[g][k] = 1 / product;
            }
        }
    }

    private final double[] weights = new double[CELLS + 1];
    private int cell;

    /** Begins anew from the lower end; shares must rise from here on. */
    void start() {
        cell = 0;
    }

    /** Lays a weight at a share, 0 to 1, not below the share before it. */
    void add(double share, double weight) {
        while (cell < CELLS - 1 && NODES[cell + 1] < share) {
            cell++;
        }
        int first = Math.max(0, Math.min(CELLS - 3, cell - 1));
        double a = share - NODES[first];
        double b = share - NODES[first + 1];
        double c = share - NODES[first + 2];
        double d = share - NODES[first + 3];
        double[] scale = SCALES[first];
        weights[first] += weight * b * c * d * scale[0];
        weights[first + 1] += weight * a * c * d * scale[1];
        weights[first + 2] += weight * a * b * d * scale[2];
        weights[first + 3] += weight * a * b * c * scale[3];
    }

    double[] shares() {
        return NODES;
    }

    double[] weights() {
        return weights;
    }
}
