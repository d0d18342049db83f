package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ShareGridTest {

    /** Cubic weights carry a cubic exactly, wherever the weights lay. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void sumsOfACubicAreKept(long seed) {
        Random random = new Random(seed);
        double[] shares = random.doubles(200).sorted().toArray();
        DoubleUnaryOperator cubic = q -> 2 - 3 * q + 5 * q * q - 4 * q * q * q;

        assertThat(sum(laid(shares), cubic))
                .isCloseTo(Arrays.stream(shares).map(cubic).sum(), within(1e-9));
    }

    @Test
    void sumsOfASmoothFunctionAreKeptToManyFigures() {
        double[] shares = new Random(9).doubles(500).sorted().toArray();
        DoubleUnaryOperator step = q -> 1 / (1 + Math.exp(-40 * (q - 0.6)));

        assertThat(sum(laid(shares), step))
                .isCloseTo(Arrays.stream(shares).map(step).sum(), within(1e-4));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 1e-9, 0.5, 1 - 1e-9, 1})
    void theEndsHoldWhatIsLaidThere(double share) {
        ShareGrid grid = laid(share);

        assertThat(sum(grid, q -> 1)).isCloseTo(1, within(1e-12));
        assertThat(sum(grid, q -> q)).isCloseTo(share, within(1e-12));
    }

    @Test
    void severalRowsMayBeLaidOneAfterTheOther() {
        ShareGrid grid = new ShareGrid();
        grid.start();
        grid.add(0.2, 0.25);
        grid.add(0.9, 0.25);
        grid.start();
        grid.add(0.1, 0.5);

        assertThat(sum(grid, q -> q)).isCloseTo(0.05 + 0.225 + 0.05, within(1e-12));
    }

    private static ShareGrid laid(double... shares) {
        ShareGrid grid = new ShareGrid();
        grid.start();
        for (double share : shares) {
            grid.add(share, 1);
        }
        return grid;
    }

    private static double sum(ShareGrid grid, DoubleUnaryOperator f) {
        double sum = 0;
        for (int i = 0; i < grid.shares().length; i++) {
            sum += grid.weights()[i] * f.applyAsDouble(grid.shares()[i]);
        }
        return sum;
    }
}
