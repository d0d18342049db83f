package garden.vivarium.core.compare;

import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Logistic regression with a normal prior on each coefficient (a ridge), on the pieces that batches are worth; what scatters more than that still widens
 * all errors. le Cessie, van Houwelingen, Applied Statistics 41 (1992) 191; McCullagh, Nelder, Generalized Linear Models (1989), ch. 4.5.
 *
 * @param coefficients in log-odds, in the order of the columns
 * @param covariance of these, scatter included
 * @param scatter Pearson's statistic over its degrees of freedom, 1 and more
 * @param df batches less the columns that they carry, by the trace of the hat matrix; 1 and more
 */
record LogisticFit(double[] coefficients, RealMatrix covariance, double scatter, double df) {

    private static final int STEPS = 60;
    private static final double CLOSE = 1e-9;

    /**
     * A batch.
     *
     * @param x its columns
     * @param kept effective pieces kept
     * @param of effective pieces, above 0
     */
    record Row(double[] x, double kept, double of) {}

    /**
     * Fits by Newton's steps.
     *
     * @param precision of the prior of each coefficient, one over its variance; above 0, so that there is one answer
     * @throws IllegalArgumentException if there are no rows
     */
    static LogisticFit of(List<Row> rows, double[] precision) {
        if (rows.isEmpty()) {
            throw new IllegalArgumentException("nothing can be fitted to no batches");
        }
        int p = precision.length;
        double[] b = new double[p];
        RealMatrix information = new Array2DRowRealMatrix(p, p);
        double last = penalised(rows, b, precision);
        for (int step = 0; step < STEPS; step++) {
            information = information(rows, b);
            RealVector slope = slope(rows, b, precision);
            RealVector move = new CholeskyDecomposition(plus(information, precision))
                    .getSolver()
                    .solve(slope);
            double share = 1;
            double[] next = moved(b, move, share);
            double now = penalised(rows, next, precision);
            while (now < last - CLOSE && share > CLOSE) {
                share /= 2;
                next = moved(b, move, share);
                now = penalised(rows, next, precision);
            }
            b = next;
            boolean done = Math.abs(now - last) < CLOSE && move.getLInfNorm() * share < 1e-7;
            last = now;
            if (done) {
                break;
            }
        }
        RealMatrix inverse = new CholeskyDecomposition(plus(information, precision))
                .getSolver()
                .getInverse();
        double df = Math.max(1, rows.size() - inverse.multiply(information).getTrace());
        double scatter = Math.max(1, pearson(rows, b) / df);
        return new LogisticFit(b, inverse.scalarMultiply(scatter), scatter, df);
    }

    /** The rate at some columns. */
    double rate(double[] x) {
        return rate(x, coefficients);
    }

    static double rate(double[] x, double[] b) {
        return 1 / (1 + Math.exp(-dot(x, b)));
    }

    private static double dot(double[] x, double[] b) {
        double sum = 0;
        for (int i = 0; i < b.length; i++) {
            sum += x[i] * b[i];
        }
        return sum;
    }

    private static double[] moved(double[] b, RealVector move, double share) {
        double[] next = b.clone();
        for (int i = 0; i < b.length; i++) {
            next[i] += share * move.getEntry(i);
        }
        return next;
    }

    private static double penalised(List<Row> rows, double[] b, double[] precision) {
        double sum = 0;
        for (Row row : rows) {
            double eta = dot(row.x(), b);
            // ln(1 + exp) without overflow.
            sum += row.kept() * eta - row.of() * (Math.max(0, eta) + Math.log1p(Math.exp(-Math.abs(eta))));
        }
        for (int i = 0; i < b.length; i++) {
            sum -= precision[i] * b[i] * b[i] / 2;
        }
        return sum;
    }

    private static RealVector slope(List<Row> rows, double[] b, double[] precision) {
        double[] g = new double[b.length];
        for (Row row : rows) {
            double left = row.kept() - row.of() * rate(row.x(), b);
            for (int i = 0; i < b.length; i++) {
                g[i] += left * row.x()[i];
            }
        }
        for (int i = 0; i < b.length; i++) {
            g[i] -= precision[i] * b[i];
        }
        return new ArrayRealVector(g, false);
    }

    private static RealMatrix information(List<Row> rows, double[] b) {
        double[][] sum = new double[b.length][b.length];
        for (Row row : rows) {
            double rate = rate(row.x(), b);
            double weight = row.of() * rate * (1 - rate);
            for (int i = 0; i < b.length; i++) {
                if (row.x()[i] != 0) {
                    for (int j = 0; j <= i; j++) {
                        sum[i][j] += weight * row.x()[i] * row.x()[j];
                    }
                }
            }
        }
        for (int i = 0; i < b.length; i++) {
            for (int j = 0; j < i; j++) {
                sum[j][i] = sum[i][j];
            }
        }
        return new Array2DRowRealMatrix(sum, false);
    }

    private static RealMatrix plus(RealMatrix information, double[] precision) {
        RealMatrix sum = information.copy();
        for (int i = 0; i < precision.length; i++) {
            sum.addToEntry(i, i, precision[i]);
        }
        return sum;
    }

    private static double pearson(List<Row> rows, double[] b) {
        double sum = 0;
        for (Row row : rows) {
            double rate = Math.max(1e-6, Math.min(1 - 1e-6, rate(row.x(), b)));
            double left = row.kept() - row.of() * rate;
            sum += left * left / (row.of() * rate * (1 - rate));
        }
        return sum;
    }
}
