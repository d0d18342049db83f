package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.bench.Ribbon;
import garden.vivarium.app.bench.Sheets;
import garden.vivarium.app.bench.Task;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.Clash;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.looks.BatchHistory;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Milestone;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.support.TransactionTemplate;

@OnDatabase
class BatchesTest {

    private static final LocalDate TODAY = LocalDate.parse(OnDatabase.TODAY);

    @Autowired
    private CurrentNursery current;

    @Autowired
    private Words words;

    @Autowired
    private People people;

    @Autowired
    private Stock stock;

    @Autowired
    private Batches batches;

    @Autowired
    private Moves moves;

    @Autowired
    private Benches benches;

    @Autowired
    private Sheets sheets;

    @Autowired
    private BatchRepository stored;

    @Autowired
    private CheckRepository checks;

    @Autowired
    private Histories histories;

    @Autowired
    private Evidence evidence;

    @Autowired
    private Guide guide;

    @Autowired
    private TransactionTemplate transaction;

    private UUID nursery;
    private StockPlantView parent;

    @BeforeEach
    void aNursery() {
        nursery = Nurseries.make(people).id();
        parent = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
    }

    @Test
    void codesFollowOneAnotherWithinTheWeek() {
        assertThat(stuck(TODAY).code()).isEqualTo("26w25-A");
        assertThat(stuck(TODAY).code()).isEqualTo("26w25-B");
        assertThat(stuck(TODAY.minusDays(7)).code()).isEqualTo("26w24-A");
        assertThat(stuck(TODAY).label()).isEqualTo("Fuchsia ‘Skerry Lantern’ · 15 Jun 2026 · 26w25-C");
    }

    @Test
    void aLookByCountMovesTheCountsAndTheTallies() {
        BatchView batch = stuck(TODAY.minusDays(20));
        look(batch, Growing.count(TODAY.minusDays(10), 0, 1));
        BatchView now = look(batch, Growing.count(TODAY.minusDays(3), 5, 2));

        assertThat(now.counts().ready()).isEqualTo(5);
        assertThat(now.counts().pending()).isEqualTo(5);
        assertThat(tally(now))
                .isEqualTo(Tallies.of(Map.of(
                        Interval.reached(10, 17), 5L,
                        Interval.lost(0, 10), 1L,
                        Interval.lost(10, 17), 1L,
                        Interval.pending(17), 5L)));
        assertThat(now.earliestReady()).isEqualTo(TODAY.minusDays(3));
    }

    @Test
    void theSameLookTwiceIsOneLook() {
        BatchView batch = stuck(TODAY.minusDays(20));
        LookCommand look = Growing.count(TODAY.minusDays(3), 5, 2);
        look(batch, look);
        look(batch, look);

        assertThat(in(() -> sheets.of(batch.code()).done().checks())).hasSize(1);
    }

    @Test
    void aRefusedLookLeavesNothingBehind() {
        BatchView batch = stuck(TODAY.minusDays(20));
        look(batch, Growing.count(TODAY.minusDays(5), 5, 2));

        assertThatThrownBy(() -> look(batch, Growing.count(TODAY.minusDays(3), 4, 2)))
                .isInstanceOf(LookRefused.class)
                .hasMessageContaining("cannot fall from 5 to 4");
        assertThatThrownBy(() -> look(batch, Growing.count(TODAY.plusDays(1), 6, 2)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("still to come");
        assertThatThrownBy(() -> look(batch, Growing.count(TODAY.minusDays(21), 0, 0)))
                .isInstanceOf(LookRefused.class)
                .hasMessageContaining("before the day stuck");
        assertThat(in(() -> sheets.of(batch.code()).done().checks())).hasSize(1);
        assertThat(find(batch).counts().ready()).isEqualTo(5);
    }

    @Test
    void whatIsTakenBackNoLongerCountsAndStaysInTheHistory() {
        BatchView batch = stuck(TODAY.minusDays(20));
        look(batch, Growing.count(TODAY.minusDays(10), 2, 0));
        look(batch, Growing.count(TODAY.minusDays(3), 9, 0));
        UUID last = in(() -> sheets.of(batch.code()).done().checks().get(0).id());

        BatchView after = in(() -> batches.takeBack(batch.code(), last));

        assertThat(after.counts().ready()).isEqualTo(2);
        assertThat(in(() -> sheets.of(batch.code()).done().checks()))
                .hasSize(2)
                .first()
                .satisfies(c -> assertThat(c.isWithdrawn()).isTrue());
        look(batch, Growing.count(TODAY.minusDays(3), 3, 0));
        assertThat(find(batch).counts().ready()).isEqualTo(3);
    }

    @Test
    void aWriterWhoHasNotSeenTheLastChangeIsShownBothSides() {
        BatchView batch = stuck(TODAY.minusDays(20));
        BatchView seen = find(batch);
        look(batch, Growing.count(TODAY.minusDays(3), 5, 0));
        LookCommand stale = LookCommand.ofPieces(
                UUID.randomUUID(),
                TODAY,
                LookKind.LIFTED,
                List.of(Growing.seen(1, PieceState.READY)),
                null,
                seen.changes());

        assertThatThrownBy(() -> look(batch, stale))
                .isInstanceOfSatisfying(
                        Clash.class,
                        c -> assertThat(c.version()).isEqualTo(find(batch).changes()))
                .hasMessageContaining("5 of 12 ready");
    }

    @Test
    void readyPiecesAreMovedSettledAndTheBatchEnds() {
        BatchView batch = stuck(TODAY.minusDays(30));
        look(batch, Growing.count(TODAY.minusDays(14), 10, 2));
        assertThat(tasks(batch)).containsExactly(Task.Kind.MOVE);
        assertThatThrownBy(() -> in(() -> moves.move(batch.code(), TODAY, 11, 11)))
                .hasMessageContaining("10 stand ready");

        in(() -> moves.move(batch.code(), TODAY.minusDays(13), 10, 10));
        assertThat(tasks(batch)).containsExactly(Task.Kind.SETTLE);
        assertThat(find(batch).closedOn()).isNull();

        UUID move = in(() -> sheets.of(batch.code()).done().pottings().get(0).id());
        assertThatThrownBy(() -> in(() -> moves.settle(batch.code(), move, TODAY, 11)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("give 0 to 10");
        assertThatThrownBy(() -> in(() -> moves.settle(batch.code(), move, TODAY, -1)))
                .isInstanceOf(InvalidField.class);
        in(() -> moves.settle(batch.code(), move, TODAY, 9));
        assertThat(find(batch).settled()).isEqualTo(9);
        assertThat(find(batch).closedOn()).isNotNull();
    }

    @Test
    void whatStandsReadyTooLongIsPressing() {
        BatchView batch = stuck(TODAY.minusDays(40));
        look(batch, Growing.count(TODAY.minusDays(20), 6, 0));

        Task move = in(() -> benches.open()).get(0).tasks().get(0);

        assertThat(move.kind()).isEqualTo(Task.Kind.MOVE);
        assertThat(move.pressing()).isTrue();
        assertThat(words.of(move.why()))
                .startsWith("Too long")
                .contains("Tue 26 May")
                .contains("Fri 5 Jun");
    }

    @Test
    void woundsDryBeforeDayNought() {
        BatchView batch = in(() ->
                batches.make(Growing.newBatch(guide, "offset-in-gritty-mix", parent, 10, TODAY.minusDays(3), null)));
        assertThat(tasks(batch)).containsExactly(Task.Kind.STICK);
        assertThatThrownBy(() -> look(batch, Growing.count(TODAY, 0, 0))).hasMessageContaining("stick it first");
        assertThatThrownBy(() -> in(() -> batches.stick(batch.code(), TODAY, 11)))
                .hasMessageContaining("1 to 10");
        assertThatThrownBy(() -> in(() -> batches.stick(batch.code(), TODAY.minusDays(4), 9)))
                .hasMessageContaining("that day or a later one");

        BatchView now = in(() -> batches.stick(batch.code(), TODAY, 9));

        assertThat(now.stuck()).isEqualTo(9);
        assertThat(now.taken()).isEqualTo(10);
        assertThat(tasks(batch)).containsExactly(Task.Kind.LOOK);
    }

    @Test
    void familiesPottedOnDayNoughtEndWhenTheyHaveTaken() {
        BatchView batch = in(() -> batches.make(Growing.newBatch(
                guide, "clump-in-leafy-compost", parent, 6, TODAY.minusDays(50), TODAY.minusDays(50))));
        look(batch, Growing.count(TODAY.minusDays(2), 5, 1));

        assertThat(find(batch).closedOn()).isEqualTo(TODAY.minusDays(2));
        assertThat(counted(batch).firstSign().isEmpty()).isTrue();
        assertThat(counted(batch).ready().total()).isEqualTo(6);
    }

    @Test
    void theStalledAreGivenUpAndMayWakeAgain() {
        BatchView batch = stuck(TODAY.minusDays(80));
        look(batch, Growing.count(TODAY.minusDays(5), 9, 0));
        assertThat(tasks(batch)).contains(Task.Kind.GIVE_UP);

        assertThat(in(() -> batches.giveUp(batch.code(), TODAY)).counts().lost())
                .isEqualTo(3);
        UUID given = in(() -> sheets.of(batch.code()).done().checks().get(0).id());
        assertThat(in(() -> batches.takeBack(batch.code(), given)).counts().pending())
                .isEqualTo(3);
    }

    @Test
    void whatIsGivenUpOfATrayReadByPieceKeepsItsCause() {
        BatchView tray = in(() -> Growing.tray(batches, guide, parent, 1, 3, TODAY.minusDays(90)));
        look(tray, Growing.pieces(TODAY.minusDays(9), PieceState.READY, PieceState.NONE, PieceState.LOST));

        assertThat(in(() -> batches.giveUp(tray.code(), TODAY)).counts().lost()).isEqualTo(2);
        assertThat(words.of(in(() -> sheets.of(tray.code()).pieces().get(1).says())))
                .isEqualTo(tray.code() + "/2: lost, stalled");
    }

    @Test
    void impossibleBatchesAreRefusedWithTheField() {
        assertProblem("taken", Growing.newBatch(guide, "tip-in-water", parent, 0, TODAY, TODAY));
        assertProblem("taken", Growing.newBatch(guide, "tip-in-water", parent, 2001, TODAY, TODAY));
        assertProblem("takenOn", Growing.newBatch(guide, "tip-in-water", parent, 5, TODAY.plusDays(1), null));
        assertProblem("stuckOn", Growing.newBatch(guide, "tip-in-water", parent, 5, TODAY, TODAY.minusDays(1)));
    }

    @Test
    void aTwoCellLookLeavesTheRestUnlookedAt() {
        BatchView tray = in(() -> Growing.tray(batches, guide, parent, 3, 4, TODAY.minusDays(20)));

        BatchView now = look(tray, Growing.pieces(TODAY, PieceState.READY, PieceState.NONE));

        assertThat(tally(now))
                .isEqualTo(Tallies.of(
                        Map.of(Interval.reached(0, 20), 1L, Interval.pending(20), 1L, Interval.pending(0), 10L)));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void talliesEqualARebuildFromTheReadingsAfterRandomHistories(long seed) {
        Random random = new Random(seed);
        BatchView batch = in(() -> Growing.tray(batches, guide, parent, 3, 4, TODAY.minusDays(60)));
        List<UUID> made = new ArrayList<>();
        for (int step = 0; step < 14; step++) {
            try {
                if (!made.isEmpty() && random.nextInt(4) == 0) {
                    UUID back = made.remove(random.nextInt(made.size()));
                    in(() -> batches.takeBack(batch.code(), back));
                } else {
                    LookCommand look = randomLook(random);
                    look(batch, look);
                    made.add(in(() ->
                            checks.findByClientId(look.clientId()).orElseThrow().getId()));
                }
            } catch (LookRefused impossible) {
                // A random history may contradict itself; what matters is what is kept.
                assertThat(impossible.getMessage()).isNotBlank();
            }
        }

        BatchView now = find(batch);
        BatchHistory rebuilt = in(() -> transaction.execute(t -> {
            Batch held = stored.findByCode(batch.code()).orElseThrow();
            return histories.replay(held, histories.log(held));
        }));
        assertThat(tally(now)).isEqualTo(rebuilt.tallies(Milestone.READY));
        assertThat(now.counts()).isEqualTo(rebuilt.counts());
        assertThat(tally(now).total()).isEqualTo(12);
    }

    @Test
    void evidenceSeesAChangeAtOnce() {
        BatchView batch = stuck(TODAY.minusDays(40));
        double before = in(() -> evidence.record().strike(batch.way()).mean());
        look(batch, Growing.count(TODAY.minusDays(3), 12, 0));
        double after = in(() -> evidence.record().strike(batch.way()).mean());

        assertThat(before)
                .as("the guide's rate for a tip of a fuchsia")
                .isCloseTo(
                        guide.fit(guide.kind("fuchsia").orElseThrow(), "tip cutting")
                                .rate(0.8),
                        within(1e-12));
        assertThat(after).isGreaterThan(before);
    }

    @Test
    void whatWasExpectedStaysAsItWas() {
        BatchView first = stuck(TODAY.minusDays(40));
        var before = in(() -> sheets.of(first.code()).outlook());
        look(first, Growing.count(TODAY.minusDays(3), 1, 11));

        assertThat(in(() -> sheets.of(first.code()).outlook())).isEqualTo(before);
        assertThat(in(() -> sheets.of(stuck(TODAY).code())
                        .outlook()
                        .inSeason()
                        .strike()
                        .mean()))
                .isLessThan(before.inSeason().strike().mean());
    }

    @Test
    void givingUpWritesOffWithoutCallingItALossInSight() {
        BatchView jar = stuck(TODAY.minusDays(80));
        look(jar, Growing.count(TODAY.minusDays(50), 6, 2));
        look(jar, Growing.count(TODAY.minusDays(3), 7, 2));
        BatchView over = in(() -> batches.giveUp(jar.code(), TODAY));

        assertThat(over.counts().lost()).isEqualTo(5);
        assertThat(tally(over).with(Outcome.GIVEN_UP)).isEqualTo(Map.of(Interval.givenUp(77, 80), 3L));
        assertThat(tally(over).total(Outcome.LOST)).isEqualTo(2);
        Ribbon ribbon = in(() -> sheets.of(jar.code())).row().ribbon();
        assertThat(ribbon.seen().lost().get(ribbon.seen().lost().size() - 1).get(1))
                .as("the ribbon draws them as gone")
                .isEqualTo(5);
    }

    @Test
    void onlyPiecesThatHardlyEverComeAreGivenUpWhereOthersWereNotLookedAtForLong() {
        BatchView tray = in(() -> Growing.tray(batches, guide, parent, 3, 4, TODAY.minusDays(110)));
        look(tray, Growing.pieces(TODAY.minusDays(85), allOf(PieceState.READY, 6, PieceState.NONE, 6)));
        // Four of those that waited were lifted again; two were not.
        look(
                tray,
                LookCommand.ofPieces(
                        UUID.randomUUID(),
                        TODAY.minusDays(2),
                        LookKind.LIFTED,
                        IntStream.rangeClosed(7, 10)
                                .mapToObj(p -> Growing.seen(p, PieceState.NONE))
                                .toList(),
                        null,
                        null));
        BatchView now = in(() -> batches.giveUp(tray.code(), TODAY));

        assertThat(now.counts().lost()).isEqualTo(4);
        assertThat(now.counts().pending()).isEqualTo(2);
    }

    private static PieceState[] allOf(PieceState first, int so, PieceState then, int many) {
        return Stream.concat(Collections.nCopies(so, first).stream(), Collections.nCopies(many, then).stream())
                .toArray(PieceState[]::new);
    }

    private LookCommand randomLook(Random random) {
        LocalDate day = TODAY.minusDays(random.nextInt(58));
        if (random.nextInt(3) == 0) {
            return Growing.count(day, random.nextInt(6), random.nextInt(4));
        }
        Map<Integer, LookCommand.Seen> seen = new HashMap<>();
        for (int i = 0; i < 5; i++) {
            int piece = 1 + random.nextInt(12);
            PieceState state = PieceState.values()[random.nextInt(4)];
            seen.put(piece, Growing.seen(piece, state));
        }
        return LookCommand.ofPieces(UUID.randomUUID(), day, LookKind.LIFTED, List.copyOf(seen.values()), null, null);
    }

    private void assertProblem(String field, NewBatch batch) {
        assertThatThrownBy(() -> in(() -> batches.make(batch)))
                .isInstanceOfSatisfying(
                        InvalidField.class, p -> assertThat(p.field()).isEqualTo(field));
    }

    private Tallies tally(BatchView batch) {
        return counted(batch).ready();
    }

    private Evidence.Counted counted(BatchView batch) {
        return in(() -> evidence.counted(List.of(batch.id()))).get(batch.id());
    }

    private List<Task.Kind> tasks(BatchView batch) {
        return in(() -> benches.open()).stream()
                .filter(r -> r.batch().id().equals(batch.id()))
                .flatMap(r -> r.tasks().stream())
                .map(Task::kind)
                .toList();
    }

    private BatchView stuck(LocalDate day) {
        return in(() -> Growing.stuck(batches, guide, parent, 12, day));
    }

    private BatchView find(BatchView batch) {
        return in(() -> batches.find(batch.code()));
    }

    private BatchView look(BatchView batch, LookCommand look) {
        return in(() -> batches.look(batch.code(), look));
    }

    private <T> T in(Supplier<T> work) {
        return current.workingFor(nursery, work);
    }
}
