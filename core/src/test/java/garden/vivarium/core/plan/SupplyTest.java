package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Times;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.timing.Window;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SupplyTest {

    private static final NextBatch RATE = new NextBatch(6.88321, 2.51825);
    private static final NextBatch SETTLING = new NextBatch(9, 1);
    private static final RootingTime TIME = Times.of(new Window(7.5, 30), 0.2);
    private static final OutputRatio THREE = new OutputRatio(List.of(0.5, 0.3, 0.2));

    @Test
    void twelveLeavesHoldTheWorkedValue() {
        Supply leaves = Supply.of(ReadyChance.withUnlimitedTime(RATE), 12, THREE, 1);

        assertThat(leaves.atLeast(12)).isCloseTo(0.781808, within(5e-7));
        assertThat(leaves.mean()).isCloseTo(12 * RATE.mean() * THREE.mean(), within(1e-6));
    }

    @Test
    void establishmentAndOutputAgreeWithSimulation() {
        Supply supply =
                Supply.of(ReadyChance.after(RATE, TIME, 21), 30, THREE, 2).surviving(SETTLING);
        int runs = 40_000;
        int[] counts = new int[60];
        Random random = new Random(19);
        RandomDataGenerator draws = new RandomDataGenerator(23);
        for (int run = 0; run < runs; run++) {
            double there = draws.nextBeta(RATE.a(), RATE.b()) * TIME.by(21, TIME.tau() * random.nextGaussian());
            int pieces = 0;
            for (int i = 0; i < 30; i++) {
                if (random.nextDouble() < there) {
                    double yield = random.nextDouble();
                    pieces += yield < 0.5 ? 1 : yield < 0.8 ? 2 : 3;
                }
            }
            double settle = draws.nextBeta(SETTLING.a(), SETTLING.b());
            int settled = 0;
            for (int pot = 0; pot < pieces / 2; pot++) {
                settled += random.nextDouble() < settle ? 1 : 0;
            }
            counts[settled]++;
        }
        double above = 0;
        for (int n = 59; n >= 1; n--) {
            above += counts[n] / (double) runs;
            double error = Math.sqrt(Math.max(1e-6, above * (1 - above)) / runs);
            assertThat(supply.atLeast(n)).as("%d or more", n).isCloseTo(above, within(4.5 * error + 1e-4));
        }
    }

    @Test
    void twoSuppliesAddUp() {
        Supply both = Supply.exactly(5).and(Supply.ofChances(new double[] {0.25, 0.5, 0.25}));

        assertThat(both.atLeast(5)).isEqualTo(1);
        assertThat(both.atLeast(6)).isCloseTo(0.75, within(1e-12));
        assertThat(both.atLeast(7)).isCloseTo(0.25, within(1e-12));
        assertThat(both.surely(0.9)).isEqualTo(5);
        assertThat(both.surely(0.75)).isEqualTo(6);
    }

    @Test
    void whatGoesToOthersFirstIsNotThereTwice() {
        Supply batch = Supply.ofChances(new double[] {0, 0, 0.2, 0.3, 0.5});
        Supply first = batch.atMost(2);
        Supply rest = batch.beyond(2);

        assertThat(first.mean() + rest.mean()).isCloseTo(batch.mean(), within(1e-12));
        assertThat(rest.atLeast(1)).isCloseTo(0.8, within(1e-12));
        assertThat(batch.beyond(9).atLeast(1)).isZero();
    }

    @Test
    void soManyToAPotRoundsDown() {
        Supply pieces = Supply.ofChances(new double[] {0.1, 0.2, 0.3, 0.15, 0.25});

        Supply pots = pieces.potted(2);

        assertThat(pots.most()).isEqualTo(2);
        assertThat(pots.exactChance(0)).isCloseTo(0.1 + 0.2, within(1e-12));
        assertThat(pots.exactChance(1)).isCloseTo(0.3 + 0.15, within(1e-12));
        assertThat(pots.exactChance(2)).isCloseTo(0.25, within(1e-12));
        assertThat(pieces.potted(1)).isSameAs(pieces);
        assertThat(pieces.potted(3).most()).isEqualTo(1);
    }

    @Test
    void soManyOfEachRoundsDownInAll() {
        Supply pieces = Supply.ofChances(new double[] {0.1, 0.2, 0.3, 0.4});

        Supply made = pieces.times(2.5);

        assertThat(made.most()).isEqualTo(7);
        assertThat(made.exactChance(0)).isCloseTo(0.1, within(1e-12));
        assertThat(made.exactChance(2)).isCloseTo(0.2, within(1e-12));
        assertThat(made.exactChance(5)).isCloseTo(0.3, within(1e-12));
        assertThat(made.exactChance(7)).isCloseTo(0.4, within(1e-12));
        assertThat(pieces.times(0.5).exactChance(1))
                .as("two or three make one, one makes none")
                .isCloseTo(0.7, within(1e-12));
        assertThat(Supply.exactly(10).times(0.3).exactChance(3))
                .as("what is three but for the last digit is three")
                .isEqualTo(1);
        assertThat(Supply.exactly(4).times(0).exactChance(0)).isEqualTo(1);
    }

    @Test
    void whatIsTakenOffAndHeldDownKeepsItsLength() {
        Supply batch = Supply.ofChances(new double[] {0.1, 0.2, 0.3, 0.4});

        assertThat(batch.beyond(0)).isSameAs(batch);
        assertThat(batch.beyond(-1)).isSameAs(batch);
        assertThat(batch.beyond(1).most()).isEqualTo(2);
        assertThat(batch.beyond(1).exactChance(0)).isCloseTo(0.3, within(1e-12));
        assertThat(batch.beyond(3).most()).isZero();
        assertThat(batch.atMost(3)).isSameAs(batch);
        assertThat(batch.atMost(4)).isSameAs(batch);
        assertThat(batch.atMost(2).most()).isEqualTo(2);
        assertThat(batch.atMost(2).exactChance(2)).isCloseTo(0.7, within(1e-12));
        assertThat(batch.and(Supply.exactly(2)).most()).isEqualTo(5);
        assertThat(batch.atLeast(0)).isEqualTo(1);
        assertThat(batch.atLeast(-3)).isEqualTo(1);
        assertThat(batch.exactChance(-1)).isZero();
        assertThat(batch.exactChance(0)).isCloseTo(0.1, within(1e-12));
        assertThat(batch.exactChance(4)).isZero();
        assertThat(Supply.ofChances(new double[] {0, 1}).surely(1)).isEqualTo(1);
    }

    @Test
    void survivorsOfAKnownNumberAreBetaBinomial() {
        // Of three with p ~ Beta(2, 1): none (1·2·3)/(3·4·5) = 0.1, one 3·2·(1·2)/60 = 0.2, two 3·(2·3)·1/60 = 0.3,
        // three 24/60 = 0.4.
        Supply left = Supply.exactly(3).surviving(new NextBatch(2, 1));

        assertThat(left.exactChance(0)).isCloseTo(0.1, within(1e-12));
        assertThat(left.exactChance(1)).isCloseTo(0.2, within(1e-12));
        assertThat(left.exactChance(2)).isCloseTo(0.3, within(1e-12));
        assertThat(left.exactChance(3)).isCloseTo(0.4, within(1e-12));
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 6, 15, 30})
    void theTopUpIsTheLeastThatWillDo(int had) {
        List<Prospect> have =
                had == 0 ? List.of() : List.of(pieces("Sage", Optional.empty()).prospect(had));
        PlannedPieces more = pieces("Fuchsia", Optional.of(30.0));
        TopUp up = TopUp.least(have, more, 20, 0.9, 500).orElseThrow();

        assertThat(up.chance()).isGreaterThanOrEqualTo(0.9);
        assertThat(with(have, more, up.pieces(), 20)).isCloseTo(up.chance(), within(1e-9));
        assertThat(with(have, more, up.pieces() - 1, 20)).isLessThan(0.9);
    }

    @Test
    void aTopUpByTheWayOfWhatIsThereSharesItsDoubt() {
        PlannedPieces there = pieces("Fuchsia", Optional.empty());
        PlannedPieces same = pieces("Fuchsia", Optional.of(60.0));
        PlannedPieces other = pieces("Sage", Optional.of(60.0));
        TopUp up = TopUp.least(List.of(there.prospect(15)), same, 24, 0.9, 500).orElseThrow();

        assertThat(up.pieces())
                .isGreaterThan(TopUp.least(List.of(there.prospect(15)), other, 24, 0.9, 500)
                        .orElseThrow()
                        .pieces());
        assertThat(with(List.of(there.prospect(15)), same, up.pieces(), 24)).isCloseTo(up.chance(), within(1e-9));
    }

    @Test
    void whatSufficesNeedsNothingMoreAndWhatCannotBeIsSaid() {
        PlannedPieces more = pieces("Fuchsia", Optional.of(30.0));
        assertThat(TopUp.least(List.of(Prospect.of(Supply.exactly(25))), more, 20, 0.9, 500))
                .hasValueSatisfying(t -> assertThat(t.pieces()).isZero());
        assertThat(TopUp.least(List.of(), more, 20, 0.9, 20)).isEmpty();
    }

    private static double with(List<Prospect> have, PlannedPieces more, int pieces, int wanted) {
        return Prospect.together(Stream.concat(have.stream(), Stream.of(more.prospect(pieces)))
                        .toList())
                .atLeast(wanted);
    }

    private static PlannedPieces pieces(String plant, Optional<Double> days) {
        SharedDoubt doubt = new SharedDoubt(new StrikeRate(7, 3, 0.08, 0.7, 4, List.of()), TIME);
        return new PlannedPieces(
                new Way(plant, "soft", "tip cutting", "water", ""),
                doubt,
                doubt,
                rate -> rate,
                days,
                OutputRatio.one(),
                1);
    }
}
