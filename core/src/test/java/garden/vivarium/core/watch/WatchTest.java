package garden.vivarium.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.evidence.BatchPrior;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.evidence.ShownTable;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.Window;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class WatchTest {

    private static final Window GUIDE = new Window(7.5, 30);
    private static final NextBatch RATE = new StrikeRate(41, 15, 0.08, 0.7, 4, List.of()).nextBatch();
    private static final RootingTime TIME = new RootingTime(GUIDE.mu(), 0, 0, 0.2, RootingTime.guideWithin(GUIDE), 9);
    private static final BatchPrior READY = new BatchPrior(RATE, TIME, ShownTable.ofGuide(TIME, 0.08));
    private static final RootingTime SIGN = new RootingTime(Math.log(8), 0, 0, 0.2, 0.35, 9);
    private static final BatchPrior FIRST_SIGN = new BatchPrior(RATE, SIGN, READY.shown());

    private static Tallies looked(int day, long there, long lost, long waiting) {
        return Tallies.of(
                Map.of(Interval.reached(0, day), there, Interval.lost(0, day), lost, Interval.pending(day), waiting));
    }

    private static SortedMap<Integer, Tallies> known(Object... daysAndTallies) {
        SortedMap<Integer, Tallies> known = new TreeMap<>();
        for (int i = 0; i < daysAndTallies.length; i += 2) {
            known.put((Integer) daysAndTallies[i], (Tallies) daysAndTallies[i + 1]);
        }
        return known;
    }

    private static Behind behind(SortedMap<Integer, Tallies> ready) {
        return Behind.of(READY, Optional.empty(), ready, Collections.emptySortedMap())
                .orElseThrow();
    }

    @Test
    void theNextLookIsTheFirstDayThatIsWorthItWithinTheProtocolsDays() {
        RunningBatch batch = RunningBatch.of(READY, looked(14, 8, 1, 31));
        NextLook soon = NextLook.of(batch, 14, 2, 21);

        assertThat(soon.isWorthIt()).isTrue();
        assertThat(batch.readyBy(soon.day())).isGreaterThanOrEqualTo(0.3);
        assertThat(batch.readyBy(soon.day() - 1)).isLessThan(0.3);
        assertThat(NextLook.of(batch, 14, 12, 21).day()).isEqualTo(26);
        assertThat(NextLook.of(batch, 14, 1, 2).day()).isEqualTo(16);
        assertThat(NextLook.of(batch, 14, 1, 2).isWorthIt()).isFalse();
    }

    @Test
    void theNextLookAsksTheBatchAndNotWhatWasThoughtBefore() {
        int good = NextLook.of(RunningBatch.of(READY, looked(14, 14, 0, 26)), 14, 1, 40)
                .day();
        int poor = NextLook.of(RunningBatch.of(READY, looked(14, 2, 2, 36)), 14, 1, 40)
                .day();

        assertThat(good).isLessThan(poor);
    }

    @Test
    void onlyThosePiecesAreGivenUpThatHardlyEverCome() {
        Tallies both =
                Tallies.of(Map.of(Interval.reached(14, 21), 30L, Interval.pending(90), 6L, Interval.pending(10), 4L));
        GiveUp some = GiveUp.of(RunningBatch.of(READY, both));

        assertThat(some.pieces()).isEqualTo(6);
        assertThat(some.waiting()).isEqualTo(10);
        assertThat(some.isAll()).isFalse();
        assertThat(some.isProposed(90)).isTrue();
        assertThat(some.isProposed(10)).isFalse();
        assertThat(some.chance()).isLessThan(GiveUp.HARDLY);

        GiveUp none = GiveUp.of(RunningBatch.of(READY, looked(21, 18, 5, 17)));
        assertThat(none.pieces()).isZero();
        assertThat(none.isAll()).isFalse();
    }

    @Test
    void aSlowBatchIsNotProposedAsStalled() {
        // Where half should be ready by day 15, these began on day 28 and go on.
        Tallies slow = Tallies.of(
                Map.of(Interval.reached(21, 28), 3L, Interval.reached(28, 35), 6L, Interval.pending(35), 31L));

        assertThat(GiveUp.of(RunningBatch.of(READY, slow)).pieces()).isZero();
    }

    @Test
    void fewIsSaidAtTwoLowLooksOrOneVeryLow() {
        assertThat(behind(known(21, looked(21, 18, 4, 18))).verdict()).isEqualTo(Behind.Verdict.AS_USUAL);
        Behind once = behind(known(21, looked(21, 8, 14, 18)));
        assertThat(once.last().ready().tail()).isBetween(0.006, 0.03);
        assertThat(once.isBehind()).isFalse();
        Behind twice = behind(known(21, looked(21, 8, 14, 18), 28, looked(28, 9, 20, 11)));
        assertThat(twice.isBehind()).isTrue();
        assertThat(twice.verdict()).isEqualTo(Behind.Verdict.FEW);
        assertThat(twice.last().furthest().expected()).isBetween(20.0, 30.0);
        Behind veryLow = behind(known(40, looked(40, 4, 36, 0)));
        assertThat(veryLow.last().ready().tail()).isLessThan(0.006);
        assertThat(veryLow.verdict()).isEqualTo(Behind.Verdict.FEW);
        assertThat(behind(known(21, looked(21, 8, 14, 18), 28, looked(28, 26, 14, 0)))
                        .isBehind())
                .as("a good look after a poor one")
                .isFalse();
    }

    @Test
    void slowIsToldFromFew() {
        Tallies late = Tallies.of(Map.of(
                Interval.reached(21, 28),
                6L,
                Interval.reached(28, 32),
                9L,
                Interval.reached(32, 36),
                8L,
                Interval.pending(36),
                17L));
        Behind slow = behind(known(36, late));

        assertThat(slow.verdict()).isEqualTo(Behind.Verdict.SLOW);
        assertThat(slow.last().slowest().slow()).isGreaterThan(15);
        assertThat(slow.working().steps().get(0).number("slow")).isGreaterThan(15);
    }

    @Test
    void noFirstSignPastItsDayIsANoticeAndNoAlarm() {
        Tallies nothing = looked(7, 0, 0, 10);
        Behind late = Behind.of(READY, Optional.of(FIRST_SIGN), known(7, nothing), known(7, nothing))
                .orElseThrow();

        assertThat(late.verdict()).isEqualTo(Behind.Verdict.LATE);
        assertThat(late.isBehind()).isFalse();
        assertThat(late.last().late()).isEqualTo(Behind.Late.PAST_THE_TENTH);
        assertThat(late.last().lateFrom()).isEqualTo((int) Math.round(SIGN.day(0.1)));
        Tallies signs = Tallies.of(Map.of(Interval.reached(0, 7), 1L, Interval.pending(7), 9L));
        assertThat(Behind.of(READY, Optional.of(FIRST_SIGN), known(7, nothing), known(7, signs))
                        .orElseThrow()
                        .verdict())
                .isEqualTo(Behind.Verdict.AS_USUAL);
    }

    @Test
    void aFewPiecesLookedAtAreNotTheWholeBatch() {
        // Four of forty were lifted on day 21 and one was ready: as usual for four, though few of forty.
        Tallies sentinels =
                Tallies.of(Map.of(Interval.reached(0, 21), 1L, Interval.pending(21), 3L, Interval.pending(0), 36L));
        Behind judged = behind(known(21, sentinels));

        assertThat(judged.last().ready().pieces()).isEqualTo(4);
        assertThat(judged.isBehind()).isFalse();
    }

    /** Whatever was judged before, the answer is that of who judges for the first time: after another look, and after a corrected one. */
    @Test
    void whatWasJudgedBeforeStandsAsLongAsItsLookDoes() {
        Behind.Memory memory = new Behind.Memory();
        Tallies signs = Tallies.of(Map.of(Interval.reached(0, 21), 30L, Interval.pending(21), 10L));
        List<SortedMap<Integer, Tallies>> told = List.of(
                known(21, looked(21, 8, 14, 18)),
                known(21, looked(21, 8, 14, 18), 28, looked(28, 9, 20, 11)),
                known(21, looked(21, 18, 4, 18), 28, looked(28, 19, 10, 11)),
                known(21, looked(21, 18, 4, 18)));

        for (SortedMap<Integer, Tallies> ready : told) {
            assertThat(Behind.of(READY, Optional.of(FIRST_SIGN), ready, known(21, signs), memory))
                    .isEqualTo(Behind.of(READY, Optional.of(FIRST_SIGN), ready, known(21, signs)))
                    .isPresent();
        }
        assertThat(Behind.of(FIRST_SIGN, Optional.empty(), told.get(3), known(), memory))
                .as("another usual")
                .isEqualTo(Behind.of(FIRST_SIGN, Optional.empty(), told.get(3), known()));
    }

    @Test
    void nothingIsSaidBeforeALookThatCouldKnow() {
        assertThat(Behind.of(READY, Optional.empty(), known(), known())).isEmpty();
        assertThat(Behind.of(READY, Optional.empty(), known(10, Tallies.of(Map.of(Interval.pending(0), 9L))), known()))
                .isEmpty();
        assertThatThrownBy(() -> new Behind(List.of())).hasMessageContaining("first look");
    }
}
