package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against sums that are made another way: Pascal's triangle, and one piece after another. */
class BinomialTest {

    @ParameterizedTest
    @CsvSource({"1, 0.5", "7, 0.02", "7, 0.98", "40, 0.3", "40, 0.75", "120, 0.5"})
    void chancesAreThoseOfOnePieceAfterAnother(int n, double q) {
        double[] sum = {1};
        for (int piece = 0; piece < n; piece++) {
            double[] next = new double[sum.length + 1];
            for (int k = 0; k < sum.length; k++) {
                next[k] += sum[k] * (1 - q);
                next[k + 1] += sum[k] * q;
            }
            sum = next;
        }
        double[] chances = Binomial.chances(n, q);

        assertThat(chances)
                .hasSize(n + 1)
                .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-12 ? 0 : 1)
                .containsExactly(sum);
    }

    @Test
    void whatIsCertainIsCertain() {
        assertThat(Binomial.chances(3, 0)).containsExactly(1, 0, 0, 0);
        assertThat(Binomial.chances(3, 1)).containsExactly(0, 0, 0, 1);
        assertThat(Binomial.chances(0, 0.4)).containsExactly(1);
        assertThat(Arrays.stream(Binomial.chances(2000, 0.37)).sum()).isCloseTo(1, within(1e-9));
    }

    @Test
    void choicesAreThoseOfPascalsTriangle() {
        double[] row = {1};
        for (int n = 1; n <= 30; n++) {
            double[] next = new double[n + 1];
            for (int k = 0; k <= n; k++) {
                next[k] = (k == 0 ? 0 : row[k - 1]) + (k == n ? 0 : row[k]);
            }
            row = next;
            for (int k = 0; k <= n; k++) {
                assertThat(Binomial.logChoose(n, k)).isCloseTo(Math.log(row[k]), within(1e-10));
            }
        }
    }
}
