package garden.vivarium.core.looks;

import static garden.vivarium.core.looks.Interval.lost;
import static garden.vivarium.core.looks.Interval.pending;
import static garden.vivarium.core.looks.Interval.reached;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.looks.ImpossibleLook.Fault;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Milestone;
import garden.vivarium.core.timing.Sign;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.SortedMap;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BatchHistoryTest {

    private static final MilestoneSigns ROOTS = MilestoneSigns.roots();

    @Nested
    class ByPiece {
        @Test
        void aMilestoneLiesBetweenTheLastLookWithoutItAndTheFirstWithIt() {
            Tallies ready = replay(3, look(7, none(1), none(2)), look(14, ready(1), none(2)), look(21, lost(2)))
                    .tallies(Milestone.READY);

            assertThat(ready).isEqualTo(Tallies.of(List.of(reached(7, 14), Interval.lost(14, 21), pending(0))));
        }

        @Test
        void aReadyPieceHadItsFirstSignByThen() {
            BatchHistory history = replay(2, look(7, none(1), sign(2)), look(14, ready(1), ready(2)));

            assertThat(history.tallies(Milestone.FIRST_SIGN))
                    .isEqualTo(Tallies.of(List.of(reached(7, 14), reached(0, 7))));
            assertThat(history.tallies(Milestone.READY)).isEqualTo(Tallies.of(List.of(reached(7, 14), reached(7, 14))));
        }

        @Test
        void aLookFromAboveSaysNothingOfRootsButAllOfLosses() {
            BatchHistory history = replay(
                    2,
                    new Look.ByPiece(7, List.of(above(1, PieceState.NONE), above(2, PieceState.NONE))),
                    new Look.ByPiece(12, List.of(above(2, PieceState.LOST))),
                    look(14, ready(1)));

            assertThat(history.tallies(Milestone.READY))
                    .isEqualTo(Tallies.of(List.of(reached(0, 14), Interval.lost(7, 12))));
        }

        @Test
        void aLookFromAboveKnowsOfShoots() {
            MilestoneSigns shoots = new MilestoneSigns(Optional.of(Sign.SHOOT), Sign.SHOOT);
            BatchHistory history = BatchHistory.replay(
                    1,
                    shoots,
                    List.of(
                            new Look.ByPiece(20, List.of(above(1, PieceState.NONE))),
                            new Look.ByPiece(30, List.of(above(1, PieceState.READY)))));

            assertThat(history.tallies(Milestone.READY)).isEqualTo(Tallies.of(List.of(reached(20, 30))));
        }

        @Test
        void sentPiecesArePendingAtTheirLastLookForGood() {
            BatchHistory history = replay(1, look(7, none(1)), look(9, reading(1, PieceState.SENT)));

            assertThat(history.tallies(Milestone.READY)).isEqualTo(Tallies.of(List.of(Interval.sent(7, 7))));
            assertThat(history.counts().sent()).isOne();
        }

        @Test
        void lostAfterReadyStaysReadyInTheStatistics() {
            BatchHistory history = replay(1, look(7, ready(1)), look(20, lost(1)));

            assertThat(history.tallies(Milestone.READY)).isEqualTo(Tallies.of(List.of(reached(0, 7))));
            assertThat(history.counts()).isEqualTo(new Counts(1, 1, 1, 0, 0, 1));
        }

        @Test
        void twoLooksOnOneDayLeaveTheDayBefore() {
            assertThat(replay(1, look(6, none(1)), look(9, none(1)), look(9, ready(1)))
                            .tallies(Milestone.READY))
                    .isEqualTo(Tallies.of(List.of(reached(6, 9))));
        }

        @Test
        void refusalsNameTheRemedy() {
            assertRefused(ImpossibleLook.Field.PIECE, Fault.ENDED, 2, look(7, lost(1)), look(9, none(1)));
            assertRefused(ImpossibleLook.Field.PIECE, Fault.CANNOT_GO_BACK, 2, look(7, ready(1)), look(9, sign(1)));
            assertRefused(ImpossibleLook.Field.PIECE, Fault.NO_SUCH_PIECE, 2, look(7, none(3)));
            assertRefused(ImpossibleLook.Field.DAY, Fault.BEFORE_DAY_STUCK, 2, look(-1, none(1)));
            assertRefused(ImpossibleLook.Field.DAY, Fault.NOT_ON_DAY_0, 2, look(0, ready(1)));
            assertRefused(ImpossibleLook.Field.DAY, Fault.LOST_ON_DAY_0, 2, look(0, lost(1)));
            assertRefused(
                    ImpossibleLook.Field.LOOK,
                    Fault.CANNOT_TELL,
                    2,
                    new Look.ByPiece(7, List.of(above(1, PieceState.READY))));
        }
    }

    @Nested
    class ByCount {
        @Test
        void theEarliestMoveFirstAndLossesComeFromPiecesWithoutFirstSign() {
            BatchHistory history =
                    replay(6, count(7, 2, 0, 0), count(14, 3, 2, 1), count(21, 5, 4, 1), count(28, 5, 4, 2));

            assertThat(history.tallies(Milestone.READY))
                    .isEqualTo(Tallies.of(List.of(
                            reached(7, 14),
                            reached(7, 14),
                            reached(14, 21),
                            reached(14, 21),
                            Interval.lost(7, 14),
                            Interval.lost(21, 28))));
            assertThat(history.tallies(Milestone.FIRST_SIGN))
                    .isEqualTo(Tallies.of(List.of(
                            reached(0, 7),
                            reached(0, 7),
                            reached(7, 14),
                            reached(14, 21),
                            reached(14, 21),
                            Interval.lost(7, 14))));
        }

        @Test
        void withoutACountOfFirstSignNothingIsKnownOfIt() {
            BatchHistory history =
                    replay(2, new Look.ByCount(7, LookKind.LIFTED, OptionalInt.empty(), 0, 0, 0), count(14, 1, 1, 0));

            assertThat(history.tallies(Milestone.FIRST_SIGN))
                    .isEqualTo(Tallies.of(List.of(reached(0, 14), pending(14))));
            assertThat(history.tallies(Milestone.READY)).isEqualTo(Tallies.of(List.of(reached(7, 14), pending(14))));
        }

        @Test
        void refusalsNameTheRemedy() {
            assertRefused(ImpossibleLook.Field.READY, Fault.FALLS, 6, count(7, 3, 3, 0), count(9, 3, 2, 0));
            assertRefused(ImpossibleLook.Field.LOST, Fault.FALLS, 6, count(7, 0, 0, 1), count(9, 0, 0, 0));
            assertRefused(ImpossibleLook.Field.READY, Fault.MORE_THAN_STUCK, 6, count(7, 7, 7, 0));
            assertRefused(ImpossibleLook.Field.LOST, Fault.MORE_THAN_STUCK, 6, count(7, 4, 4, 3));
            assertRefused(ImpossibleLook.Field.FIRST_SIGN, Fault.SIGN_BELOW_READY, 6, count(7, 2, 3, 0));
            assertRefused(ImpossibleLook.Field.FIRST_SIGN, Fault.SIGN_BEYOND_ABLE, 6, count(7, 6, 2, 1));
            assertRefused(ImpossibleLook.Field.READY, Fault.BELOW_0, 6, count(7, 0, -1, 0));
            assertRefused(
                    ImpossibleLook.Field.LOOK,
                    Fault.CANNOT_TELL,
                    6,
                    new Look.ByCount(7, LookKind.ABOVE, OptionalInt.empty(), 2, 0, 0));
        }
    }

    @Test
    void countsAndPiecesMayBeMixed() {
        BatchHistory history = replay(4, look(7, sign(1), none(2), none(3), none(4)), count(14, 2, 1, 1));

        assertThat(history.pieces().get(0).state()).isEqualTo(PieceState.READY);
        assertThat(history.pieces().get(0).byCount()).isTrue();
        assertThat(history.counts()).isEqualTo(new Counts(4, 2, 1, 1, 0, 0));
        assertThat(history.counts().pending()).isEqualTo(2);
    }

    @Test
    void aCountIsNeverGivenToAPieceThatALaterLookSawWithoutIt() {
        BatchHistory history = replay(
                4, count(7, 1, 0, 0), count(14, 2, 1, 1), look(21, none(1), ready(3), lost(4)), count(28, 2, 2, 2));

        assertThat(history.pieces())
                .extracting(PieceView::state)
                .containsExactly(PieceState.LOST, PieceState.READY, PieceState.READY, PieceState.LOST);
        assertThat(history.tallies(Milestone.READY))
                .isEqualTo(Tallies.of(
                        List.of(reached(7, 14), reached(14, 28), Interval.lost(7, 14), Interval.lost(21, 28))));
    }

    @Test
    void whatWasKnownByADayUsesLooksUpToThatDayAlone() {
        SortedMap<Integer, Tallies> known = replay(
                        4,
                        look(7, none(1), none(2)),
                        look(14, ready(1), none(3)),
                        look(21, lost(2)),
                        look(60, above(3, PieceState.NONE)))
                .asKnown(Milestone.READY);

        assertThat(known).containsOnlyKeys(7, 14, 21);
        assertThat(known.get(7)).isEqualTo(Tallies.of(Map.of(Interval.pending(7), 2L, Interval.pending(0), 2L)));
        assertThat(known.get(14))
                .as("piece 2 was last seen on day 7, and piece 4 never")
                .isEqualTo(Tallies.of(Map.of(
                        reached(7, 14),
                        1L,
                        Interval.pending(7),
                        1L,
                        Interval.pending(14),
                        1L,
                        Interval.pending(0),
                        1L)));
        assertThat(known.get(21).total(Outcome.LOST)).isEqualTo(1);
    }

    @Test
    void aLookFromAboveSeesThatAPieceLivesAndNothingOfItsRoots() {
        Tallies ready = replay(
                        3, look(14, none(1), none(2)), look(60, above(1, PieceState.NONE), above(2, PieceState.LOST)))
                .tallies(Milestone.READY);

        assertThat(ready)
                .isEqualTo(Tallies.of(List.of(Interval.pending(14, 60), Interval.lost(14, 60), Interval.pending(0))));
        assertThat(ready.lastDay()).isEqualTo(60);
        assertThat(ready.lastLook()).isEqualTo(60);
    }

    @Test
    void whatIsWrittenOffFailedWithoutShowingIt() {
        Reading stalled =
                new Reading(2, LookKind.LIFTED, PieceState.LOST, Optional.of(LossCause.STALLED), Optional.empty());
        Reading rotten = new Reading(3, LookKind.LIFTED, PieceState.LOST, Optional.of(LossCause.ROT), Optional.empty());
        Tallies byPiece = replay(3, look(14, ready(1), none(2), none(3)), look(40, stalled, rotten))
                .tallies(Milestone.READY);
        assertThat(byPiece)
                .isEqualTo(Tallies.of(List.of(reached(0, 14), Interval.givenUp(14, 40), Interval.lost(14, 40))));

        Tallies byCount = replay(
                        3,
                        count(14, 1, 1, 1),
                        new Look.ByCount(40, LookKind.LIFTED, OptionalInt.empty(), 1, 2, 0, true))
                .tallies(Milestone.READY);
        assertThat(byCount)
                .as("only what this very look wrote off")
                .isEqualTo(Tallies.of(List.of(reached(0, 14), Interval.lost(0, 14), Interval.givenUp(14, 40))));
    }

    @Test
    void whatStillStoodWhenABatchWasClosedIsGivenUp() {
        Tallies closed = replay(3, look(14, ready(1), none(2)), look(20, reading(3, PieceState.SENT)))
                .tallies(Milestone.READY)
                .closed();

        assertThat(closed)
                .isEqualTo(Tallies.of(List.of(reached(0, 14), Interval.givenUp(14, 14), Interval.sent(0, 0))));
    }

    @Test
    void countsThatNoPieceCanHaveAreRefused() {
        assertRefused(ImpossibleLook.Field.READY, Fault.TOO_MANY, 2, count(14, 2, 2, 0), look(21, none(1)));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void countsSayTheSameAsPiecesThatMoveEarliestFirst(long seed) {
        // Pieces looked at all together have the same tallies whether they are read one by one or counted.
        Random random = new Random(seed);
        int stuck = 12;
        List<Look> byPiece = new ArrayList<>();
        List<Look> byCount = new ArrayList<>();
        int ready = 0;
        int lost = 0;
        for (int day = 5; day < 50; day += 3 + random.nextInt(6)) {
            int moreReady = random.nextInt(Math.min(3, stuck - ready - lost) + 1);
            int moreLost = random.nextInt(Math.min(2, stuck - ready - lost - moreReady) + 1);
            ready += moreReady;
            lost += moreLost;
            List<Reading> readings = new ArrayList<>();
            for (int piece = 1; piece <= stuck; piece++) {
                PieceState state =
                        piece <= ready ? PieceState.READY : piece > stuck - lost ? PieceState.LOST : PieceState.NONE;
                readings.add(reading(piece, state));
            }
            byPiece.add(new Look.ByPiece(day, readings));
            byCount.add(new Look.ByCount(day, LookKind.LIFTED, OptionalInt.empty(), ready, lost, 0));
        }

        assertThat(BatchHistory.replay(stuck, ROOTS, byCount).tallies(Milestone.READY))
                .isEqualTo(BatchHistory.replay(stuck, ROOTS, byPiece).tallies(Milestone.READY));
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13})
    void theOrderInWhichLooksWereEnteredDoesNotMatter(long seed) {
        List<Look> looks = new ArrayList<>(List.of(
                count(7, 2, 0, 0), count(14, 3, 2, 1), look(16, lost(6)), count(21, 4, 4, 2), count(28, 4, 4, 2)));
        Tallies inOrder = BatchHistory.replay(6, ROOTS, looks).tallies(Milestone.READY);
        Collections.shuffle(looks, new Random(seed));

        assertThat(BatchHistory.replay(6, ROOTS, looks).tallies(Milestone.READY))
                .isEqualTo(inOrder);
    }

    @Test
    void countsOfPiecesSentAndOfFirstSignCannotFallEither() {
        Look sent = new Look.ByCount(7, LookKind.LIFTED, OptionalInt.empty(), 0, 0, 2);
        Look fewer = new Look.ByCount(9, LookKind.LIFTED, OptionalInt.empty(), 0, 0, 1);
        assertRefused(ImpossibleLook.Field.SENT, Fault.FALLS, 6, sent, fewer);
        assertRefused(ImpossibleLook.Field.FIRST_SIGN, Fault.FALLS, 6, count(7, 3, 0, 0), count(9, 2, 0, 0));
        assertRefused(
                ImpossibleLook.Field.READY,
                Fault.MORE_THAN_STUCK,
                6,
                new Look.ByCount(7, LookKind.LIFTED, OptionalInt.empty(), 3, 0, 4));
        assertThat(replay(6, new Look.ByCount(7, LookKind.LIFTED, OptionalInt.empty(), 2, 2, 2))
                        .counts())
                .as("all of them may be judged at once")
                .isEqualTo(new Counts(6, 2, 2, 2, 2, 0));
    }

    @Test
    void whatALookCannotTellIsRefusedForEachKindOfNews() {
        MilestoneSigns mixed = new MilestoneSigns(Optional.of(Sign.ROOT), Sign.SHOOT);
        Look above = new Look.ByCount(7, LookKind.ABOVE, OptionalInt.of(2), 0, 0, 0);
        assertThatThrownBy(() -> BatchHistory.replay(6, mixed, List.of(above)))
                .isInstanceOfSatisfying(
                        ImpossibleLook.class, r -> assertThat(r.fault().rule()).isEqualTo(Fault.CANNOT_TELL));
        assertRefused(
                ImpossibleLook.Field.DAY,
                Fault.LOST_ON_DAY_0,
                6,
                new Look.ByCount(0, LookKind.LIFTED, OptionalInt.empty(), 0, 1, 0));
        assertRefused(
                ImpossibleLook.Field.DAY,
                Fault.NOT_ON_DAY_0,
                6,
                new Look.ByCount(0, LookKind.LIFTED, OptionalInt.of(1), 0, 0, 0));
        assertThat(replay(6, new Look.ByCount(0, LookKind.LIFTED, OptionalInt.of(0), 0, 0, 0))
                        .counts())
                .isEqualTo(new Counts(6, 0, 0, 0, 0, 0));
        // Nothing new is told of what was known before: a look from above may leave it as it was.
        assertThat(replay(6, count(7, 3, 2, 0), new Look.ByCount(9, LookKind.ABOVE, OptionalInt.of(3), 2, 0, 0))
                        .counts()
                        .ready())
                .isEqualTo(2);
    }

    @Test
    void asManyAsCanShowASignMayAndNotOneMore() {
        // Of six, three with a sign; two of the others go: three and one are left that can show it.
        assertThat(replay(6, count(7, 3, 0, 0), count(14, 4, 0, 2)).counts().firstSign())
                .isEqualTo(4);
        assertRefused(
                ImpossibleLook.Field.FIRST_SIGN, Fault.SIGN_BEYOND_ABLE, 6, count(7, 3, 0, 0), count(14, 5, 0, 2));
        // Those sent count as gone, too.
        assertRefused(
                ImpossibleLook.Field.FIRST_SIGN,
                Fault.SIGN_BEYOND_ABLE,
                6,
                count(7, 3, 0, 0),
                new Look.ByCount(14, LookKind.LIFTED, OptionalInt.of(5), 0, 0, 2));
    }

    @Test
    void whatWasKnownIsAskedOfLooksAfterDayNoughtThatCanKnow() {
        BatchHistory history = replay(2, look(0, none(1), none(2)), look(7, none(1)), look(14, ready(1), none(2)));

        assertThat(history.asKnown(Milestone.READY)).containsOnlyKeys(7, 14);
        assertThat(history.asKnown(Milestone.FIRST_SIGN)).containsOnlyKeys(7, 14);
        assertThat(history.asKnown(Milestone.READY).get(7)).isEqualTo(Tallies.of(List.of(pending(7), pending(0))));
        MilestoneSigns mixed = new MilestoneSigns(Optional.of(Sign.SHOOT), Sign.ROOT);
        BatchHistory above =
                BatchHistory.replay(1, mixed, List.of(new Look.ByPiece(7, List.of(above(1, PieceState.FIRST_SIGN)))));
        assertThat(above.asKnown(Milestone.FIRST_SIGN)).containsOnlyKeys(7);
        assertThat(above.asKnown(Milestone.READY)).isEmpty();
    }

    @Test
    void howAPieceFeltIsKeptWithIt() {
        Reading soft = new Reading(1, LookKind.LIFTED, PieceState.NONE, Optional.empty(), Optional.of(Firmness.SOFT));
        assertThat(replay(2, look(7, soft, none(2))).pieces().get(0).firmness()).contains(Firmness.SOFT);
        assertThat(replay(2, look(7, soft, none(2))).pieces().get(1).firmness()).isEmpty();
    }

    private static void assertRefused(ImpossibleLook.Field field, Fault fault, int stuck, Look... looks) {
        assertThatThrownBy(() -> replay(stuck, looks)).isInstanceOfSatisfying(ImpossibleLook.class, r -> {
            assertThat(r.field()).isEqualTo(field);
            assertThat(r.fault().rule()).isEqualTo(fault);
        });
    }

    private static BatchHistory replay(int stuck, Look... looks) {
        return BatchHistory.replay(stuck, ROOTS, List.of(looks));
    }

    private static Look look(int day, Reading... readings) {
        return new Look.ByPiece(day, List.of(readings));
    }

    private static Look count(int day, int firstSign, int ready, int lost) {
        return new Look.ByCount(day, LookKind.LIFTED, OptionalInt.of(firstSign), ready, lost, 0);
    }

    private static Reading none(int piece) {
        return reading(piece, PieceState.NONE);
    }

    private static Reading sign(int piece) {
        return reading(piece, PieceState.FIRST_SIGN);
    }

    private static Reading ready(int piece) {
        return reading(piece, PieceState.READY);
    }

    private static Reading lost(int piece) {
        return reading(piece, PieceState.LOST);
    }

    private static Reading reading(int piece, PieceState state) {
        return Reading.of(piece, LookKind.LIFTED, state);
    }

    private static Reading above(int piece, PieceState state) {
        return Reading.of(piece, LookKind.ABOVE, state);
    }

    @Test
    void whatIsLostAfterItWasReadyStaysReadyInTheRecord() {
        Look ready = new Look.ByCount(20, LookKind.LIFTED, OptionalInt.empty(), 28, 1, 0);
        Look rotted = new Look.ByCount(30, LookKind.LIFTED, OptionalInt.empty(), 28, 1, 0, false, OptionalInt.of(3));
        BatchHistory history = replay(30, ready, rotted);

        assertThat(history.counts()).isEqualTo(new Counts(30, 28, 28, 1, 0, 3));
        assertThat(history.tallies(Milestone.READY))
                .isEqualTo(replay(30, ready, new Look.ByCount(30, LookKind.LIFTED, OptionalInt.empty(), 28, 1, 0))
                        .tallies(Milestone.READY));
        assertThat(history.pieces().stream().filter(p -> p.wasReady() && p.state() == PieceState.LOST))
                .hasSize(3);
    }

    @Test
    void lossesOfReadyPiecesCannotFallNorBeMoreThanWereReady() {
        Look ready = new Look.ByCount(20, LookKind.LIFTED, OptionalInt.empty(), 5, 0, 0, false, OptionalInt.of(2));
        assertThatThrownBy(() -> replay(
                        10,
                        ready,
                        new Look.ByCount(25, LookKind.LIFTED, OptionalInt.empty(), 5, 0, 0, false, OptionalInt.of(1))))
                .isInstanceOf(ImpossibleLook.class)
                .satisfies(e -> assertThat(((ImpossibleLook) e).fault().rule()).isEqualTo(ImpossibleLook.Fault.FALLS));
        assertThatThrownBy(() -> replay(
                        10,
                        ready,
                        new Look.ByCount(25, LookKind.LIFTED, OptionalInt.empty(), 5, 0, 0, false, OptionalInt.of(6))))
                .isInstanceOf(ImpossibleLook.class)
                .satisfies(
                        e -> assertThat(((ImpossibleLook) e).fault().rule()).isEqualTo(ImpossibleLook.Fault.TOO_MANY));
        assertThat(replay(10, ready, new Look.ByCount(25, LookKind.LIFTED, OptionalInt.empty(), 6, 1, 0))
                        .counts()
                        .lostReady())
                .as("a look that does not count them leaves them as they were")
                .isEqualTo(2);
    }
}
