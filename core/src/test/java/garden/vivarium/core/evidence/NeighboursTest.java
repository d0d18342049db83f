package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Grown;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.Window;
import garden.vivarium.core.treatment.Treatments;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;

/** Neighbours' batches: a level of their own, worth what they have agreed, and the intervals hold whether they are like us or not. */
class NeighboursTest {

    private static final double RHO = 0.06;
    private static final GuideFigures GUIDE = new GuideFigures(0.6, Optional.empty(), new Window(14, 35));

    private static Way way(int i) {
        return Way.of(
                new Grown("Plant ‘Number " + i + "’", "kind" + i, "soft"),
                "tip cutting",
                "perlite",
                Treatments.NONE,
                Optional.empty());
    }

    private static WayBatch batch(Way way, int kept, int of) {
        return WayBatch.of(
                way,
                Tallies.none(),
                Tallies.of(Map.of(Interval.reached(10, 20), (long) kept, Interval.lost(10, 20), (long) of - kept)));
    }

    private static Neighbours.Given given(int i, BatchCount... batches) {
        return new Neighbours.Given("kind" + i, "soft", "tip cutting", "perlite", Treatments.NONE, List.of(batches));
    }

    @Test
    void theyStandBetweenTheGuideAndOnesOwnAndAreShown() {
        Neighbours three = Neighbours.of(
                List.of(given(1, new BatchCount(70, 100), new BatchCount(75, 100)), given(2, new BatchCount(10, 40))));
        NurseryRecord record = NurseryRecord.of(List.of(batch(way(1), 18, 20)), w -> GUIDE, three);
        List<StrikeRate.Share> shares = record.strike(way(1)).shares();
        assertThat(shares)
                .extracting(StrikeRate.Share::closeness)
                .containsExactly(Closeness.NEIGHBOURS, Closeness.THIS_WAY);
        assertThat(shares.get(0).batches()).isEqualTo(2);
        assertThat(shares.get(0).rate()).isCloseTo(0.725, within(0.01));
        assertThat(shares.get(0).weight()).isLessThan(shares.get(1).weight());
        assertThat(record.strike(way(3)).shares())
                .as("of a kind that nobody gave there is nothing of theirs")
                .noneMatch(s -> s.closeness() == Closeness.NEIGHBOURS);
        assertThat(record.beside(Neighbours.NONE).strike(way(1)))
                .as("taken out again it is as if they had never been")
                .isEqualTo(NurseryRecord.of(List.of(batch(way(1), 18, 20)), w -> GUIDE)
                        .strike(way(1)));
    }

    @Test
    void whoAgreedCountsForMoreThanWhoDidNot() {
        List<WayBatch> own = new ArrayList<>();
        List<Neighbours.Given> alike = new ArrayList<>();
        List<Neighbours.Given> unlike = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            own.add(batch(way(i), 28, 40));
            own.add(batch(way(i), 29, 40));
            alike.add(given(i, new BatchCount(70, 100), new BatchCount(72, 100)));
            unlike.add(given(i, new BatchCount(i % 2 == 0 ? 20 : 97, 100), new BatchCount(i % 2 == 0 ? 22 : 96, 100)));
        }
        alike.add(given(99, new BatchCount(50, 100)));
        unlike.add(given(99, new BatchCount(50, 100)));
        NurseryRecord with = NurseryRecord.of(own, w -> GUIDE, Neighbours.of(alike));
        NurseryRecord without = NurseryRecord.of(own, w -> GUIDE, Neighbours.of(unlike));
        assertThat(with.disagreement()).isLessThan(0.4);
        assertThat(without.disagreement()).isGreaterThan(1);
        assertThat(weight(with)).isGreaterThan(3 * weight(without));
        assertThat(NurseryRecord.of(List.of(), w -> GUIDE, Neighbours.of(alike)).disagreement())
                .as("before anything was compared")
                .isCloseTo(0.5, within(1e-12));
    }

    private static double weight(NurseryRecord record) {
        return record.neighbours()
                .level(way(99), RHO, record.disagreement() * record.disagreement())
                .orElseThrow()
                .sum()
                .pieces();
    }

    /** A life: twelve ways with own batches of most, and neighbours whose true log-odds stray from ours by so much. */
    private static double[] life(long seed, double stray) {
        RandomDataGenerator random = new RandomDataGenerator(seed);
        List<WayBatch> own = new ArrayList<>();
        List<Neighbours.Given> given = new ArrayList<>();
        double[] truth = new double[12];
        for (int i = 0; i < truth.length; i++) {
            double logOdds = Math.log(0.6 / 0.4) + 0.7 * random.nextNormal(0, 1);
            truth[i] = 1 / (1 + Math.exp(-logOdds));
            for (int b = 0; b < i % 4; b++) {
                own.add(batch(way(i), kept(random, truth[i], 30), 30));
            }
            double theirs = 1 / (1 + Math.exp(-logOdds - stray * random.nextNormal(0, 1)));
            BatchCount[] batches = new BatchCount[6];
            for (int b = 0; b < batches.length; b++) {
                batches[b] = new BatchCount(kept(random, theirs, 40), 40);
            }
            given.add(given(i, batches));
        }
        NurseryRecord with = NurseryRecord.of(own, w -> GUIDE, Neighbours.of(given));
        NurseryRecord without = NurseryRecord.of(own, w -> GUIDE);
        double held = 0;
        double better = 0;
        for (int i = 0; i < truth.length; i++) {
            StrikeRate one = with.strike(way(i));
            held += one.quantile(0.05) <= truth[i] && truth[i] <= one.quantile(0.95) ? 1 : 0;
            better += Math.abs(without.strike(way(i)).mean() - truth[i]) - Math.abs(one.mean() - truth[i]);
        }
        return new double[] {held / truth.length, better / truth.length};
    }

    private static int kept(RandomDataGenerator random, double rate, int of) {
        double p = random.nextBeta(rate * (1 - RHO) / RHO, (1 - rate) * (1 - RHO) / RHO);
        int kept = 0;
        for (int i = 0; i < of; i++) {
            kept += random.nextUniform(0, 1) < p ? 1 : 0;
        }
        return kept;
    }

    private static double[] lives(double stray) {
        double held = 0;
        double better = 0;
        int lives = 150;
        for (int l = 0; l < lives; l++) {
            double[] one = life(7000 + l, stray);
            held += one[0] / lives;
            better += one[1] / lives;
        }
        return new double[] {held, better};
    }

    @Test
    void withNeighboursLikeUsRatesAreNearerTheTruthAndIntervalsHold() {
        double[] came = lives(0.2);
        assertThat(came[0]).as("held nine times in ten").isGreaterThan(0.85);
        assertThat(came[1]).as("nearer by some in a hundred").isGreaterThan(0.02);
    }

    @Test
    void withNeighboursThatAreNotLikeUsIntervalsHoldAndNothingIsMuchWorse() {
        double[] came = lives(1.5);
        assertThat(came[0]).as("held nine times in ten").isGreaterThan(0.85);
        assertThat(came[1]).isGreaterThan(-0.02);
    }
}
