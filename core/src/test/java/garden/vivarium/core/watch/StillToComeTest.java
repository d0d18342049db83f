package garden.vivarium.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.plan.ReadyChance;
import garden.vivarium.core.plan.Supply;
import garden.vivarium.core.timing.Window;
import java.util.List;
import java.util.Random;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;

class StillToComeTest {

    private static final NextBatch RATE = new StrikeRate(41, 15, 0.08, 0.7, 4, List.of()).nextBatch();
    private static final RootingTime TIME = RootingTime.ofGuide(new Window(7.5, 30));

    @Test
    void holdsItsWorkedValue() {
        Supply more = new StillToCome(18, 5, 17, 21).readyBy(RATE, TIME.withTau(0), 35, 0.5);

        assertThat(more.atLeast(24 - 18)).isCloseTo(0.773077, within(5e-7));
    }

    @Test
    void beforeTheFirstLookItIsThePlan() {
        Supply all = new StillToCome(0, 0, 40, 0).readyBy(RATE, TIME, 28);

        assertThat(all.atLeast(24)).isCloseTo(ReadyChance.after(RATE, TIME, 28).atLeast(24, 40), within(1e-4));
    }

    @Test
    void aBatchThatHasShownMoreWillGiveMore() {
        Supply good = new StillToCome(22, 1, 17, 21).readyBy(RATE, TIME, 35);
        Supply poor = new StillToCome(6, 17, 17, 21).readyBy(RATE, TIME, 35);

        assertThat(good.mean()).isGreaterThan(poor.mean() + 2);
    }

    @Test
    void theLongerTheMoreAndNeverMoreThanArePending() {
        StillToCome batch = new StillToCome(10, 4, 16, 14);
        double before = -1;
        for (int day = 14; day <= 60; day += 4) {
            Supply more = batch.readyBy(RATE, TIME, day);
            assertThat(more.mean()).isGreaterThanOrEqualTo(before);
            assertThat(more.most()).isLessThanOrEqualTo(16);
            before = more.mean();
        }
        assertThat(batch.readyBy(RATE, TIME, 14).mean()).isZero();
    }

    /** Batches drawn from the prior, kept only where they stand as this one does: they go on as it is said they would. */
    @Test
    void agreesWithBatchesThatStoodTheSame() {
        Random random = new Random(5);
        RandomDataGenerator draws = new RandomDataGenerator(6);
        int n = 12;
        int alike = 0;
        double later = 0;
        double square = 0;
        for (int run = 0; run < 400_000; run++) {
            double p = draws.nextBeta(RATE.a(), RATE.b());
            double u = TIME.tau() * random.nextGaussian();
            double within = Math.sqrt(TIME.sigma() * TIME.sigma() - TIME.tau() * TIME.tau());
            int ready = 0;
            int lost = 0;
            int then = 0;
            for (int i = 0; i < n; i++) {
                double day = Math.exp(TIME.mu() + u + within * random.nextGaussian());
                boolean strikes = random.nextDouble() < p;
                ready += strikes && day <= 14 ? 1 : 0;
                lost += !strikes && day <= 14 ? 1 : 0;
                then += strikes && day > 14 && day <= 24 ? 1 : 0;
            }
            if (ready == 4 && lost == 2) {
                alike++;
                later += then;
                square += then * then;
            }
        }
        double mean = later / alike;
        double error = Math.sqrt((square / alike - mean * mean) / alike);

        assertThat(new StillToCome(4, 2, 6, 14).readyBy(RATE, TIME, 24).mean()).isCloseTo(mean, within(4 * error));
    }

    @Test
    void countsBelowNoughtAreRefused() {
        assertThatThrownBy(() -> new StillToCome(-1, 0, 4, 3)).hasMessageContaining("0 or more");
    }
}
