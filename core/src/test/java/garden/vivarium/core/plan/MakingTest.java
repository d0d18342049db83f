package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Random;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.junit.jupiter.api.Test;

/** What an afternoon's pieces make, against simulation and against what must be so. */
class MakingTest {

    private static final Guide GUIDE = Guide.load();
    private static final Setting HOUSE = new Setting(Climate.HEATED, Hemisphere.NORTH);
    private static final LocalDate JUNE = LocalDate.of(2026, 6, 15);

    @Test
    void morePiecesMakeMoreAndTheTenthsAreInOrder() {
        Outlook outlook = outlook("tip-in-plugs");
        YoungPlants few = Making.of(outlook, HOUSE, JUNE, 20).youngPlants();
        YoungPlants many = Making.of(outlook, HOUSE, JUNE, 60).youngPlants();

        assertThat(few.tenth()).isLessThan(few.middle());
        assertThat(few.middle()).isLessThan(few.ninetieth()).isLessThan(many.middle());
        assertThat(many.ninetieth()).isLessThanOrEqualTo(60);
        assertThatThrownBy(() -> Making.of(outlook, HOUSE, JUNE, 0)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void outOfSeasonItIsLessAndLater() {
        Outlook outlook = outlook("tip-in-plugs");
        Making summer = Making.of(outlook, HOUSE, JUNE, 40);
        Making winter = Making.of(outlook, HOUSE, JUNE.plusMonths(6), 40);

        assertThat(summer.inSeason()).isTrue();
        assertThat(winter.inSeason()).isFalse();
        assertThat(winter.youngPlants().middle())
                .isLessThan(summer.youngPlants().middle());
        assertThat(winter.expected().ready().to().toEpochDay()
                        - JUNE.plusMonths(6).toEpochDay())
                .isGreaterThan(summer.expected().ready().to().toEpochDay() - JUNE.toEpochDay());
    }

    @Test
    void leavesThatGiveSeveralAgreeWithSimulation() {
        Outlook leaf = outlook("leaf-section-in-vermiculite");
        NextBatch rate = leaf.nextBatch(leaf.inSeason());
        OutputRatio output = GUIDE.protocol("leaf-section-in-vermiculite")
                .orElseThrow()
                .figures()
                .output();
        YoungPlants reckoned = YoungPlants.of(ReadyChance.withUnlimitedTime(rate), 30, output, 1);

        Random random = new Random(7);
        BetaDistribution rates = new BetaDistribution(rate.a(), rate.b());
        int runs = 40_000;
        int[] made = new int[runs];
        for (int run = 0; run < runs; run++) {
            double p = rates.inverseCumulativeProbability(random.nextDouble());
            for (int piece = 0; piece < 30; piece++) {
                if (random.nextDouble() < p) {
                    made[run] += young(output, random.nextDouble());
                }
            }
        }
        Arrays.sort(made);
        assertThat((double) reckoned.tenth()).isCloseTo(made[runs / 10], within(1.0));
        assertThat((double) reckoned.middle()).isCloseTo(made[runs / 2], within(1.0));
        assertThat((double) reckoned.ninetieth()).isCloseTo(made[runs - runs / 10], within(1.0));
        assertThat(reckoned.middle()).as("a leaf gives more than one").isGreaterThan(30);
    }

    private static int young(OutputRatio output, double at) {
        double sum = 0;
        for (int i = 0; i < output.chances().size(); i++) {
            sum += output.chances().get(i);
            if (at < sum) {
                return i + 1;
            }
        }
        return output.chances().size();
    }

    private static Outlook outlook(String protocol) {
        return Outlook.ofGuide(GUIDE.protocol(protocol).orElseThrow(), 0.08);
    }
}
