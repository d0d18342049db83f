package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.special.Beta;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NextBatchTest {

    @ParameterizedTest
    @CsvSource({"2, 1", "0.3, 4", "0.05, 3", "40, 15", "900, 2", "1, 1", "1e5, 3e5"})
    void aQuantileIsWhereItsChanceIs(double a, double b) {
        NextBatch batch = new NextBatch(a, b);
        for (double p : new double[] {0.01, 0.05, 0.5, 0.9, 0.99}) {
            assertThat(Beta.regularizedBeta(batch.quantile(p), a, b))
                    .as("%s of Beta(%s, %s)", p, a, b)
                    .isCloseTo(p, within(1e-8));
        }
    }

    @Test
    void ofAThinTailTheQuantileIsNoneOrAll() {
        assertThat(new NextBatch(1e-4, 1).quantile(0.2)).isZero();
        assertThat(new NextBatch(1, 1e-4).quantile(0.8)).isEqualTo(1);
    }

    @Test
    void meanAndVarianceComeBackAndStagesMultiply() {
        NextBatch batch = NextBatch.of(0.7, 0.01);
        assertThat(batch.mean()).isCloseTo(0.7, within(1e-12));
        assertThat(batch.variance()).isCloseTo(0.01, within(1e-12));

        // Beta(2, 1) and Beta(1, 1): means 2/3 and 1/2, second moments 1/2 and 1/3.
        NextBatch both = new NextBatch(2, 1).and(new NextBatch(1, 1));
        assertThat(both.mean()).isCloseTo(1 / 3.0, within(1e-12));
        assertThat(both.variance()).isCloseTo(1 / 6.0 - 1 / 9.0, within(1e-12));
        assertThatThrownBy(() -> new NextBatch(0, 1)).hasMessageContaining("above 0");
        assertThatThrownBy(() -> new NextBatch(1, Double.NaN)).hasMessageContaining("above 0");
    }
}
