package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Times;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RateNodes;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.timing.Window;
import java.util.List;
import org.apache.commons.numbers.gamma.RegularizedBeta;
import org.hipparchus.special.Beta;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ReadyChanceTest {

    private static final Window WINDOW = new Window(20, 45);
    private static final RootingTime TIME = Times.of(WINDOW, 0.2);

    /** Against a plain double sum over many more nodes, with the incomplete beta function for each. */
    @ParameterizedTest
    @CsvSource({
        "6.9, 2.5, 0.2, 28, 5",
        "6.9, 2.5, 0.2, 28, 60",
        "6.9, 2.5, 0.2, 40, 800",
        "2000, 800, 0.2, 28, 60",
        "2000, 800, 0.2, 28, 800",
        "2000, 800, 0.2, 40, 4000",
        "60, 3, 0.2, 18, 200",
        "0.4, 0.2, 0.2, 35, 20",
        "0.4, 0.2, 0.2, 35, 800",
        "1.2, 0.3, 0.05, 30, 200",
        "3, 2, 0.29, 33, 3000",
        "40, 40, 0.2, 12, 4000",
    })
    void isHeldByAFarFinerSum(double a, double b, double tau, double days, int pieces) {
        NextBatch rate = new NextBatch(a, b);
        RootingTime time = Times.of(WINDOW, tau);
        ReadyChance ready = ReadyChance.after(rate, time, days);
        double mean = ready.meanShare() * pieces;

        for (double part : new double[] {0.3, 0.6, 0.9, 1, 1.1, 1.4}) {
            int needed = (int) Math.max(1, Math.min(pieces, Math.round(part * mean)));
            assertThat(ready.atLeast(needed, pieces))
                    .as("%d of %d", needed, pieces)
                    .isCloseTo(fine(rate, time, days, needed, pieces), within(pieces <= 60 ? 5e-5 : 1e-3));
        }
    }

    @ParameterizedTest
    @CsvSource({"0.02, 0.05", "0.1, 3", "0.01, 0.01", "5, 0.03"})
    void ratesThatAreNearlyAllOrNoneAreMetExactly(double a, double b) {
        // n of the beta-binomial law, where every piece that will has become ready.
        int pieces = 24;
        ReadyChance ready = ReadyChance.withUnlimitedTime(new NextBatch(a, b));
        double tail = 0;
        for (int k = pieces; k >= 0; k--) {
            tail += Math.exp(logChoose(pieces, k) + Beta.logBeta(k + a, pieces - k + b) - Beta.logBeta(a, b));
            assertThat(ready.atLeast(k, pieces)).as("at least %d", k).isCloseTo(tail, within(1e-4));
        }
    }

    private static double logChoose(int n, int k) {
        return -Math.log(n + 1.0) - Beta.logBeta(n - k + 1.0, k + 1.0);
    }

    @Test
    void daysThatAreNoNumberAreRefused() {
        NextBatch rate = new NextBatch(6.9, 2.5);
        assertThatThrownBy(() -> ReadyChance.after(rate, TIME, Double.NaN)).hasMessageContaining("must be a number");
        assertThat(ReadyChance.after(rate, TIME, Double.POSITIVE_INFINITY).atLeast(10, 20))
                .isCloseTo(ReadyChance.withUnlimitedTime(rate).atLeast(10, 20), within(1e-9));
    }

    @Test
    void theDistributionIsItsTails() {
        ReadyChance ready = ReadyChance.after(new NextBatch(6.9, 2.5), TIME, 30);
        double[] chances = ready.distribution(50);

        double tail = 0;
        for (int k = 50; k >= 0; k--) {
            tail += chances[k];
            assertThat(tail).as("at least %d", k).isCloseTo(ready.atLeast(k, 50), within(1e-9));
        }
    }

    @Test
    void piecesThatGiveOneEachAreConvolvedToTheSame() {
        ReadyChance ready = ReadyChance.after(new NextBatch(6.9, 2.5), TIME, 30);
        OutputRatio nearlyOne = new OutputRatio(List.of(1 - 1e-12, 1e-12));

        assertThat(ready.atLeast(20, 40, nearlyOne)).isCloseTo(ready.atLeast(20, 40), within(1e-9));
    }

    private static double fine(NextBatch rate, RootingTime time, double days, int needed, int pieces) {
        RateNodes rates = RateNodes.of(rate.a(), rate.b(), 500);
        double sum = 0;
        double all = 0;
        for (double away = -6; away <= 6; away += 0.04) {
            double weight = Math.exp(-away * away / 2);
            double there = time.by(days, away * time.tau());
            all += weight;
            for (int i = 0; i < rates.size(); i++) {
                double q = rates.rate(i) * there;
                sum += weight
                        * rates.weight(i)
                        * (q <= 0 ? 0 : q >= 1 ? 1 : RegularizedBeta.value(q, needed, pieces - needed + 1.0));
            }
        }
        return sum / all;
    }

    @Test
    void theMeanShareIsThatOfTheDistribution() {
        ReadyChance ready = ReadyChance.after(new NextBatch(6.9, 2.5), TIME, 28);
        double[] chances = ready.distribution(10);
        double mean = 0;
        for (int k = 0; k < chances.length; k++) {
            mean += k * chances[k];
        }

        assertThat(ready.meanShare()).isCloseTo(mean / 10, within(1e-6)).isBetween(0.05, 0.95);
    }
}
