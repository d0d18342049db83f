package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Grown;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.SeasonFactors;
import garden.vivarium.core.timing.Window;
import garden.vivarium.core.treatment.Treatments;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class NurseryRecordTest {

    private static final GuideFigures GUIDE = new GuideFigures(0.7, Optional.of(new Window(7, 20)), new Window(14, 35));
    private static final Way WAY = new Way("Fuchsia ‘Skerry’", "soft", "tip cutting", "water", "");
    private static final Way OTHER_MEDIUM = new Way("Fuchsia ‘Skerry’", "soft", "tip cutting", "perlite", "");
    private static final Way SAME_GROUP = new Way("Sage ‘Lighter’", "soft", "tip cutting", "perlite", "");
    private static final Way OTHER_GROUP = new Way("Rosemary ‘Bollard’", "woody", "tip cutting", "water", "");
    private static final Way STRANGER = new Way("Hosta ‘Tidewrack’", "clump", "clump division", "leafy compost", "");

    @Test
    void aNurseryWithoutBatchesHasTheGuide() {
        NurseryRecord record = NurseryRecord.of(List.of(), w -> GUIDE);

        assertThat(record.strike(WAY).mean()).isCloseTo(0.7, within(1e-12));
        assertThat(record.ready(WAY).day(0.5)).isCloseTo(Math.sqrt(14 * 35), within(1e-9));
        assertThat(record.isYoung()).isTrue();
        assertThat(record.ways()).isEmpty();
    }

    @Test
    void eachBatchCountsOnlyAtItsClosestLevel() {
        NurseryRecord record = NurseryRecord.of(
                List.of(
                        finished(WAY, 9, 10),
                        finished(OTHER_MEDIUM, 5, 10),
                        finished(SAME_GROUP, 4, 10),
                        finished(OTHER_GROUP, 3, 10),
                        finished(STRANGER, 1, 10)),
                w -> GUIDE);

        List<StrikeRate.Share> shares = record.strike(WAY).shares();

        assertThat(shares).extracting(StrikeRate.Share::batches).containsExactly(1, 1, 1, 1);
        assertThat(shares).extracting(s -> Math.round(100 * s.rate())).containsExactly(30L, 40L, 50L, 90L);
        assertThat(shares.get(3).weight()).isGreaterThan(shares.get(2).weight());
        assertThat(shares.get(2).weight()).isGreaterThan(shares.get(0).weight());
    }

    @Test
    void otherSelectionsOfTheKindAreNearerThanOtherKindsOfTheGroup() {
        Way asked = Way.of(
                new Grown("Fuchsia ‘Ebb’", "fuchsia", "soft"),
                "tip cutting",
                "water",
                Treatments.NONE,
                Optional.empty());
        Way kin = Way.of(
                new Grown("Fuchsia ‘Kelp’", "fuchsia", "soft"),
                "tip cutting",
                "perlite",
                Treatments.NONE,
                Optional.empty());
        NurseryRecord record = NurseryRecord.of(List.of(finished(kin, 9, 10), finished(SAME_GROUP, 4, 10)), w -> GUIDE);

        assertThat(record.strike(asked).shares())
                .extracting(StrikeRate.Share::closeness)
                .containsExactly(Closeness.OTHER_PLANTS, Closeness.SAME_KIND);
        assertThat(record.strike(WAY).shares())
                .as("of a plant whose kind nobody knows all of the group are alike")
                .extracting(StrikeRate.Share::closeness)
                .containsExactly(Closeness.OTHER_PLANTS);
        assertThat(record.past(kin)).isEqualTo(new NurseryRecord.Past(10, 9));
        assertThat(record.past(asked)).isEqualTo(new NurseryRecord.Past(0, 0));
    }

    @Test
    void batchesThatShareLuckTellLessOfTheNext() {
        List<WayBatch> apart = IntStream.range(0, 8)
                .mapToObj(i -> finished(WAY, 14 + i % 3, 20))
                .toList();
        List<WayBatch> together = apart.stream().map(b -> b.counting(0.25)).toList();
        NurseryRecord one = NurseryRecord.of(apart, w -> GUIDE);
        NurseryRecord other = NurseryRecord.of(together, w -> GUIDE);

        assertThat(other.strike(WAY).shares().get(0).weight())
                .isLessThan(one.strike(WAY).shares().get(0).weight());
        assertThat(other.strike(WAY).nextBatch().variance())
                .isGreaterThan(one.strike(WAY).nextBatch().variance());
        assertThat(other.spread()).as("batches scatter as they did").isEqualTo(one.spread());
    }

    @Test
    void neighboursCountForLessAndTheGuideAllTheWhole() {
        StrikeRate own =
                NurseryRecord.of(List.of(finished(WAY, 20, 20)), w -> GUIDE).strike(WAY);
        StrikeRate neighbour = NurseryRecord.of(List.of(finished(OTHER_GROUP, 20, 20)), w -> GUIDE)
                .strike(WAY);

        assertThat(neighbour.mean()).isBetween(0.8, own.mean());
        assertThat(neighbour.alpha() + neighbour.beta() - 4)
                .as("what batches add, beside the guide's four pieces")
                .isLessThan(0.7 * (own.alpha() + own.beta() - 4));
    }

    @Test
    void aRunningBatchIsNotCountedAsFailed() {
        Tallies early = Tallies.of(Map.of(Interval.reached(7, 14), 2L, Interval.pending(14), 18L));
        NurseryRecord record = NurseryRecord.of(List.of(WayBatch.of(WAY, Tallies.none(), early)), w -> GUIDE);

        assertThat(record.strike(WAY).mean()).isBetween(0.4, 0.75);
        assertThat(record.strike(WAY).shares().get(0).weight()).isLessThan(6);
        assertThat(record.spread().batches()).isZero();
    }

    @Test
    void runningBatchesOfAWayWhoseSpeedIsNotKnownTellLittleMoreTogetherThanOne() {
        WayBatch running = WayBatch.of(
                WAY, Tallies.none(), Tallies.of(Map.of(Interval.reached(14, 24), 10L, Interval.pending(24), 30L)));
        double one = piecesTold(List.of(running));
        double four = piecesTold(Collections.nCopies(4, running));

        // Pieces that wait are slow, or will never come: of all four alike.
        assertThat(four).isBetween(one, 2.5 * one);
    }

    @Test
    void ofAWayWhoseSpeedIsKnownEachTellsForItself() {
        WayBatch running = WayBatch.of(
                WAY, Tallies.none(), Tallies.of(Map.of(Interval.reached(14, 24), 10L, Interval.pending(24), 30L)));
        List<WayBatch> past = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            past.add(WayBatch.of(
                    WAY,
                    Tallies.none(),
                    Tallies.of(Map.of(
                            Interval.reached(7, 14), 3L,
                            Interval.reached(14, 22), 9L,
                            Interval.reached(22, 35), 9L,
                            Interval.reached(35, 60), 3L,
                            Interval.lost(22, 60), 12L))));
        }
        double none = piecesTold(past);
        List<WayBatch> withOne = new ArrayList<>(past);
        withOne.add(running);
        List<WayBatch> withFour = new ArrayList<>(past);
        withFour.addAll(Collections.nCopies(4, running));
        double one = piecesTold(withOne) - none;

        assertThat(piecesTold(withFour) - none).isBetween(3.2 * one, 4.001 * one);
    }

    /** How many pieces the rate of the way rests on beyond what the guide is worth. */
    private static double piecesTold(List<WayBatch> batches) {
        StrikeRate rate = NurseryRecord.of(batches, w -> GUIDE).strike(WAY);
        return rate.alpha() + rate.beta() - 4;
    }

    @Test
    void sentPiecesAreCensoredNotLost() {
        Tallies tallies = Tallies.of(Map.of(Interval.reached(7, 14), 10L, Interval.sent(7, 7), 10L));
        WayBatch batch = WayBatch.of(WAY, Tallies.none(), tallies);

        assertThat(batch.isFinished()).isTrue();
        assertThat(batch.judgeable()).isEqualTo(10);
        assertThat(NurseryRecord.of(List.of(batch), w -> GUIDE)
                        .strike(WAY)
                        .shares()
                        .get(0)
                        .rate())
                .isEqualTo(1);
    }

    @Test
    void theOrderOfBatchesDoesNotMatter() {
        List<WayBatch> batches = new ArrayList<>();
        IntStream.range(0, 30).forEach(i -> batches.add(finished(i % 2 == 0 ? WAY : SAME_GROUP, 6 + i % 7, 14)));
        NurseryRecord before = NurseryRecord.of(batches, w -> GUIDE);
        Collections.shuffle(batches, new Random(3));
        NurseryRecord after = NurseryRecord.of(batches, w -> GUIDE);

        assertThat(after.spread().rho()).isCloseTo(before.spread().rho(), within(1e-7));
        assertThat(after.strike(WAY).mean()).isCloseTo(before.strike(WAY).mean(), within(1e-9));
        assertThat(after.ready(WAY).mu()).isCloseTo(before.ready(WAY).mu(), within(1e-6));
        assertThat(before.isYoung()).isFalse();
    }

    @Test
    void theSpreadIsKeptWhileNoFinishedBatchChanges() {
        NurseryRecord before = NurseryRecord.of(List.of(finished(WAY, 9, 10)), w -> GUIDE);
        WayBatch running = WayBatch.of(WAY, Tallies.none(), Tallies.of(Map.of(Interval.pending(14), 20L)));

        assertThat(before.updated(List.of(finished(WAY, 9, 10), running)).spread())
                .isSameAs(before.spread());
        assertThat(before.updated(List.of(finished(WAY, 3, 10))).spread()).isNotEqualTo(before.spread());
    }

    @Test
    void aRunningBatchOnItsCourseLeavesTheRateWhereItIs() {
        // Of forty, at half time, as many are ready as of a way that strikes so, and nothing else is known.
        for (double truth : new double[] {0.5, 0.7, 0.9}) {
            GuideFigures right = new GuideFigures(truth, Optional.empty(), new Window(14, 35));
            List<WayBatch> batches = new ArrayList<>();
            long ready = Math.round(40 * truth * 0.6);
            long lost = Math.round(40 * (1 - truth) * 0.2);
            for (int i = 0; i < 2; i++) {
                long kept = Math.round(40 * truth);
                batches.add(WayBatch.of(
                        WAY,
                        Tallies.none(),
                        Tallies.of(Map.of(
                                Interval.reached(14, 28),
                                kept,
                                Interval.lost(14, 28),
                                (40 - kept) / 2,
                                Interval.givenUp(70, 70),
                                40 - kept - (40 - kept) / 2))));
                batches.add(WayBatch.of(
                        WAY,
                        Tallies.none(),
                        Tallies.of(Map.of(
                                Interval.reached(10, 17),
                                ready / 3,
                                Interval.reached(17, 24),
                                ready - ready / 3,
                                Interval.lost(10, 17),
                                lost,
                                Interval.pending(24),
                                40 - ready - lost))));
            }
            assertThat(NurseryRecord.of(batches, w -> right).strike(WAY).mean())
                    .as("true %.1f", truth)
                    .isCloseTo(truth, within(0.06));
        }
    }

    @Test
    void batchesOutOfSeasonCountOnceForWinterAndForSummer() {
        SeasonFactors winter = new SeasonFactors(1.5, 0.5);
        List<WayBatch> cold = IntStream.range(0, 12)
                .mapToObj(i -> finished(WAY, 14, 40).in(winter))
                .toList();
        NurseryRecord record = NurseryRecord.of(cold, w -> GUIDE);

        assertThat(record.strike(WAY, winter).mean())
                .as("they struck at 35%, and 35% is what another winter batch will")
                .isCloseTo(0.35, within(0.02));
        assertThat(record.strike(WAY).mean()).isBetween(0.6, 0.75);
        assertThat(record.strike(WAY, winter).shares().get(0).closeness()).isEqualTo(Closeness.THIS_WAY);
        assertThat(record.strike(WAY).shares().get(0).closeness()).isEqualTo(Closeness.OTHER_SEASON);
    }

    @Test
    void callusAndSettlingAreLearnedByTheSameBorrowing() {
        List<WayBatch> batches = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            batches.add(new WayBatch(
                    WAY,
                    SeasonFactors.IN_SEASON,
                    40,
                    24,
                    new WayBatch.Moved(9, 18),
                    Tallies.none(),
                    Tallies.of(Map.of(Interval.reached(14, 21), 20L, Interval.lost(14, 21), 4L))));
        }
        NurseryRecord record = NurseryRecord.of(batches, w -> GUIDE);

        assertThat(record.callusSurvival(WAY, 0.9).mean()).isBetween(0.6, 0.67);
        assertThat(record.establishment(WAY, 0.95).mean()).isBetween(0.5, 0.6);
        assertThat(record.establishment(STRANGER, 0.95).mean()).isCloseTo(0.95, within(1e-12));
        NurseryRecord unanswered = NurseryRecord.of(List.of(finished(WAY, 20, 24)), w -> GUIDE);
        assertThat(unanswered.establishment(WAY, 0.95).shares()).isEmpty();
        assertThat(unanswered.callusSurvival(WAY, 0.9).shares()).isEmpty();
    }

    @Test
    void howSoonFailuresShowIsLearnedFromFinishedBatches() {
        Tallies hidden = Tallies.of(Map.of(Interval.reached(14, 21), 14L, Interval.givenUp(80, 80), 10L));
        Tallies seen = Tallies.of(Map.of(Interval.reached(14, 21), 14L, Interval.lost(7, 14), 10L));
        double never = shownBy(hidden);
        double soon = shownBy(seen);

        assertThat(never).isLessThan(0.12);
        assertThat(soon).isGreaterThan(0.7);
    }

    private static double shownBy(Tallies finished) {
        List<WayBatch> batches = IntStream.range(0, 8)
                .mapToObj(i -> WayBatch.of(WAY, Tallies.none(), finished))
                .toList();
        return NurseryRecord.of(batches, w -> GUIDE)
                .prior(WAY, SeasonFactors.IN_SEASON)
                .shown()
                .by(24)
                .mean();
    }

    @Test
    void anUpdatedRecordIsWhatAFreshOneIs() {
        List<WayBatch> batches = new ArrayList<>();
        IntStream.range(0, 12).forEach(i -> batches.add(finished(i % 3 == 0 ? SAME_GROUP : WAY, 6 + i % 7, 14)));
        Tallies early = Tallies.of(Map.of(Interval.reached(7, 14), 2L, Interval.pending(14), 18L));
        batches.add(WayBatch.of(WAY, Tallies.none(), early));
        NurseryRecord before = NurseryRecord.of(batches, w -> GUIDE);
        before.strike(WAY);
        before.ready(WAY);
        batches.set(0, finished(SAME_GROUP, 1, 14));
        batches.add(WayBatch.of(
                OTHER_MEDIUM,
                Tallies.none(),
                Tallies.of(Map.of(Interval.reached(21, 30), 9L, Interval.pending(30), 9L))));

        NurseryRecord updated = before.updated(batches);
        NurseryRecord fresh = NurseryRecord.of(batches, w -> GUIDE);

        assertThat(updated.strike(WAY)).isEqualTo(fresh.strike(WAY));
        assertThat(updated.ready(WAY)).isEqualTo(fresh.ready(WAY));
        assertThat(updated.speed()).isEqualTo(fresh.speed());
        assertThat(updated.strike(WAY)).as("the change is seen").isNotEqualTo(before.strike(WAY));
    }

    @Test
    void aBandNeedsEightBatches() {
        List<Tallies> eight = IntStream.range(0, 8)
                .mapToObj(i -> finished(WAY, 5 + i % 4, 12).ready())
                .toList();

        assertThat(CurveBand.of(eight.subList(0, 7))).isEmpty();
        CurveBand band = CurveBand.of(eight).orElseThrow();
        RootingCurve curve = RootingCurve.fit(Tallies.pooled(eight));
        int last = band.low().size() - 1;
        assertThat(curve.share(Outcome.REACHED))
                .isBetween(band.low().get(last), band.high().get(last));
        assertThat(band.low().get(last)).isLessThan(band.high().get(last));
    }

    @Test
    void aWayIsWrittenInFilesAsAGrowerSaysIt() {
        assertThat(WAY.written()).isEqualTo("tip cutting in water");
        assertThat(done("hormone 3,000 ppm; callus").written()).isEqualTo("tip cutting in water, callus; hormone 0.3%");
    }

    @Test
    void whatStandsInATrialIsNoWayToBeSetBesideOthers() {
        assertThat(WAY.isOfTrial()).isFalse();
        assertThat(WAY.inTrial(true).isOfTrial()).isTrue();
        assertThat(WAY.inTrial(true)).isNotEqualTo(WAY);
        assertThat(done("trial: water or coir").isOfTrial())
                .as("words make no trial")
                .isFalse();
    }

    private static Way done(String treatment) {
        return new Way(WAY.plant(), WAY.group(), WAY.method(), WAY.medium(), treatment);
    }

    private static WayBatch finished(Way way, int kept, int of) {
        return WayBatch.of(
                way,
                Tallies.of(Map.of(Interval.reached(7, 14), (long) kept, Interval.lost(14, 21), (long) of - kept)),
                Tallies.of(Map.of(Interval.reached(14, 21), (long) kept, Interval.lost(14, 21), (long) of - kept)));
    }

    @Test
    void firstSignHasItsOwnTimeAndShare() {
        // Two ways of one plant: in each batch fifteen of twenty show a sign, of which ten are ready in the end.
        WayBatch batch = WayBatch.of(
                WAY,
                Tallies.of(Map.of(Interval.reached(7, 14), 15L, Interval.lost(7, 14), 5L)),
                Tallies.of(Map.of(Interval.reached(14, 21), 10L, Interval.lost(14, 21), 10L)));
        NurseryRecord record = NurseryRecord.of(List.of(batch, batch, finished(STRANGER, 2, 10)), w -> GUIDE);
        SeasonFactors in = SeasonFactors.IN_SEASON;

        assertThat(record.firstSignRate(WAY, in).mean()).isBetween(0.7, 0.76);
        assertThat(record.finishedStrike(WAY, in).mean()).isBetween(0.5, 0.57);
        assertThat(record.firstSign(WAY, in).orElseThrow().day(0.5)).isBetween(7.0, 14.0);
        assertThat(record.ready(WAY, in).day(0.5)).isBetween(14.0, 22.0);
        BatchPrior prior = record.firstSignPrior(WAY, in).orElseThrow();
        assertThat(prior.rate()).isEqualTo(record.firstSignRate(WAY, in).nextBatch());
        assertThat(prior.time().day(0.5)).isBetween(7.0, 14.0);
        assertThat(prior.shown().by(30)).isEqualTo(record.prior(WAY, in).shown().by(30));
        assertThat(record.of(WAY)).containsExactly(batch, batch);
        assertThat(record.of(STRANGER)).hasSize(1);
        assertThat(record.ways())
                .containsOnlyKeys(WAY, STRANGER)
                .hasEntrySatisfying(WAY, b -> assertThat(b).hasSize(2));
        assertThat(record.guide(WAY)).isEqualTo(GUIDE);
    }

    @Test
    void aWayWithoutFirstSignHasNoTimeOfIt() {
        GuideFigures none = new GuideFigures(0.7, Optional.empty(), new Window(14, 35));
        NurseryRecord record = NurseryRecord.of(
                List.of(WayBatch.of(
                        WAY,
                        Tallies.none(),
                        Tallies.of(Map.of(Interval.reached(14, 21), 8L, Interval.lost(14, 21), 2L)))),
                w -> none);

        assertThat(record.firstSign(WAY, SeasonFactors.IN_SEASON)).isEmpty();
        assertThat(record.firstSignPrior(WAY, SeasonFactors.IN_SEASON)).isEmpty();
        assertThat(record.firstSignRate(WAY, SeasonFactors.IN_SEASON).mean())
                .as("where nobody looks for it, what is ready had it")
                .isCloseTo(record.finishedStrike(WAY, SeasonFactors.IN_SEASON).mean(), within(1e-12));
    }

    @Test
    void twentyFinishedBatchesAreEnough() {
        List<WayBatch> batches = new ArrayList<>(Collections.nCopies(19, finished(WAY, 9, 12)));
        assertThat(NurseryRecord.of(batches, w -> GUIDE).isYoung()).isTrue();
        batches.add(finished(WAY, 9, 12));
        assertThat(NurseryRecord.of(batches, w -> GUIDE).isYoung()).isFalse();
    }

    @Test
    void aRunningBatchDoesNotCountTowardsFirstSignOfOthers() {
        WayBatch running = WayBatch.of(
                WAY,
                Tallies.of(Map.of(Interval.reached(7, 14), 1L, Interval.pending(14), 19L)),
                Tallies.of(Map.of(Interval.pending(14), 20L)));
        NurseryRecord record = NurseryRecord.of(List.of(running), w -> GUIDE);

        assertThat(record.firstSignRate(WAY, SeasonFactors.IN_SEASON).mean()).isCloseTo(0.7, within(1e-12));
        assertThat(record.finishedStrike(WAY, SeasonFactors.IN_SEASON).mean()).isCloseTo(0.7, within(1e-12));
    }

    @Test
    void whatFinishedBatchesSayStandsWhileOthersRun() {
        List<WayBatch> batches = new ArrayList<>(Collections.nCopies(12, finished(WAY, 9, 14)));
        IntStream.range(0, 12).forEach(i -> batches.add(finished(SAME_GROUP, 6 + i % 7, 14)));
        batches.add(WayBatch.of(
                WAY, Tallies.none(), Tallies.of(Map.of(Interval.reached(7, 14), 2L, Interval.pending(14), 18L))));
        NurseryRecord before = NurseryRecord.of(batches, w -> GUIDE);
        BatchPrior prior = before.prior(WAY, SeasonFactors.IN_SEASON);
        batches.set(
                24,
                WayBatch.of(
                        WAY,
                        Tallies.none(),
                        Tallies.of(Map.of(
                                Interval.reached(7, 14),
                                2L,
                                Interval.reached(14, 40),
                                6L,
                                Interval.pending(40),
                                12L))));
        NurseryRecord looked = before.updated(batches);
        assertThat(looked.finishedOnly()).isSameAs(before.finishedOnly());
        assertThat(looked.prior(WAY, SeasonFactors.IN_SEASON)).isSameAs(prior);
        assertThat(looked.strike(WAY)).isNotEqualTo(before.strike(WAY));
        assertThat(looked.strike(WAY))
                .isEqualTo(NurseryRecord.of(batches, w -> GUIDE).strike(WAY));
        // One of two that are alike to the last count is taken out: that is another record.
        batches.remove(0);
        assertThat(looked.updated(batches).finishedOnly()).isNotSameAs(before.finishedOnly());
    }

    @Test
    void nothingThatWasKeptOfAnOlderRecordIsServedForAnother() {
        List<Way> ways = List.of(WAY, OTHER_MEDIUM, SAME_GROUP, OTHER_GROUP, STRANGER);
        List<SeasonFactors> seasons = List.of(SeasonFactors.IN_SEASON, new SeasonFactors(1.5, 0.6));
        List<WayBatch> batches = new ArrayList<>();
        IntStream.range(0, 20).forEach(i -> batches.add(finished(ways.get(i % 4), 5 + i % 8, 14)));
        NurseryRecord record = NurseryRecord.of(batches, w -> GUIDE);
        for (int step = 0; step < 6; step++) {
            // All that is kept is asked for, then one batch changes.
            answers(record, ways, seasons);
            batches.set(step, finished(ways.get(step % 4), 13 - step, 14));
            record = record.updated(batches);

            assertThat(answers(record, ways, seasons))
                    .as("step %d", step)
                    .isEqualTo(answers(NurseryRecord.of(batches, w -> GUIDE), ways, seasons));
        }
    }

    private static List<Object> answers(NurseryRecord record, List<Way> ways, List<SeasonFactors> seasons) {
        List<Object> answers = new ArrayList<>(List.of(record.spread(), record.speed(), record.isYoung()));
        for (Way way : ways) {
            for (SeasonFactors season : seasons) {
                answers.add(record.strike(way, season));
                answers.add(record.finishedStrike(way, season));
                answers.add(record.firstSignRate(way, season));
                answers.add(record.ready(way, season));
                answers.add(record.firstSign(way, season));
                answers.add(record.prior(way, season).rate());
                answers.add(record.prior(way, season).time());
                answers.add(record.prior(way, season).shown().by(24));
            }
        }
        return answers;
    }
}
