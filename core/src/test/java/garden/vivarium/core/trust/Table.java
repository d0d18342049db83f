package garden.vivarium.core.trust;

import java.util.Locale;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.hipparchus.random.RandomDataGenerator;

/** Cells of simulated lives, printed with their simulation error and whether they keep the limit set for them. */
final class Table {

    private final String name;
    private final int lives;
    private int cells;
    private int missed;

    Table(String name, int lives) {
        this.name = name;
        this.lives = lives;
        System.out.printf(Locale.ROOT, "%ntrust: %s, %,d lives a cell%n", name, lives);
    }

    /** What a cell is called, with a point in its numbers wherever it is run. */
    static String cell(String format, Object... of) {
        return String.format(Locale.ROOT, format, of);
    }

    /** Numbers of one life, each averaged over the cell. */
    interface OfLife {
        double[] of(RandomDataGenerator random);
    }

    /** Means and standard errors of a cell. */
    record Cell(double[] mean, double[] error) {}

    /** Runs a cell: each life draws from a seed of its own. */
    Cell run(long seed, OfLife life) {
        return run(seed, lives, life);
    }

    static Cell run(long seed, int lives, OfLife life) {
        IntFunction<double[]> one = i -> life.of(new RandomDataGenerator(seed * 1_000_003L + i));
        double[][] all = IntStream.range(0, lives).parallel().mapToObj(one).toArray(double[][]::new);
        int numbers = all[0].length;
        double[] mean = new double[numbers];
        double[] error = new double[numbers];
        for (int k = 0; k < numbers; k++) {
            double sum = 0;
            double square = 0;
            for (double[] l : all) {
                sum += l[k];
                square += l[k] * l[k];
            }
            mean[k] = sum / lives;
            error[k] = Math.sqrt(Math.max(0, square / lives - mean[k] * mean[k]) / lives);
        }
        return new Cell(mean, error);
    }

    /** Prints a share in per cent against limits in per cent; a limit is missed where it lies more than two errors off. */
    void share(String cell, String what, double mean, double error, double least, double most) {
        cells++;
        boolean low = 100 * (mean + 2 * error) < least;
        boolean high = 100 * (mean - 2 * error) > most;
        missed += low || high ? 1 : 0;
        System.out.printf(
                Locale.ROOT,
                "  %-58s %-12s %5.1f%% ± %.1f   %s%n",
                cell,
                what,
                100 * mean,
                100 * error,
                aim(least, most) + (low ? "   MISSED: too low" : high ? "   MISSED: too high" : ""));
    }

    /** Prints a number against the distance that it may lie off. */
    void near(String cell, String what, double mean, double error, double from, double within) {
        cells++;
        boolean off = Math.abs(mean - from) - 2 * error > within;
        missed += off ? 1 : 0;
        System.out.printf(
                Locale.ROOT,
                "  %-58s %-12s %6.3f ± %.3f   %.3f within %.3f%s%n",
                cell,
                what,
                mean,
                error,
                from,
                within,
                off ? "   MISSED" : "");
    }

    void close() {
        System.out.printf(Locale.ROOT, "trust: %s: %d of %d limits kept%n", name, cells - missed, cells);
    }

    private static String aim(double least, double most) {
        if (most >= 100) {
            return String.format(Locale.ROOT, "at least %.0f", least);
        }
        return least <= 0
                ? String.format(Locale.ROOT, "at most %.0f", most)
                : String.format(Locale.ROOT, "%.0f to %.0f", least, most);
    }
}
