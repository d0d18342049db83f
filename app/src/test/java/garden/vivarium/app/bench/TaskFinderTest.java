package garden.vivarium.app.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import garden.vivarium.app.batch.AsKnown;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Guess;
import garden.vivarium.app.batch.HowDone;
import garden.vivarium.app.batch.Material;
import garden.vivarium.app.batch.Origin;
import garden.vivarium.app.batch.Progress;
import garden.vivarium.app.batch.Taking;
import garden.vivarium.app.batch.Vessel;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Sentence;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.UnitSystem;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.SeasonFactors;
import garden.vivarium.core.treatment.Treatments;
import garden.vivarium.core.watch.Behind;
import garden.vivarium.core.watch.StageClock;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.util.ReflectionTestUtils;

/** What a batch needs, and the reasons given, without a database. */
class TaskFinderTest {

    private static final Guide GUIDE = Guide.load();
    private static final Protocol PLUGS = GUIDE.protocol("tip-in-plugs").orElseThrow();
    private static final Outlook OUTLOOK = Outlook.ofGuide(PLUGS, 0.08);
    private static final LocalDate STUCK = LocalDate.of(2026, 5, 1);

    private final Today today = mock(Today.class);
    private final Protocols protocols = mock(Protocols.class);
    private TaskFinder finder;
    private Words words;

    @BeforeEach
    void onDayTwenty() {
        when(today.date()).thenReturn(STUCK.plusDays(20));
        when(protocols.version(PLUGS.key(), 1)).thenReturn(Optional.of(PLUGS));
        Says says = mock(Says.class, org.mockito.Mockito.CALLS_REAL_METHODS);
        ReflectionTestUtils.setField(says, "today", today);
        Messages messages = new Messages();
        words = new Words(messages, says, new Measures(messages, () -> UnitSystem.METRIC));
        finder = new TaskFinder(new GuideLookup(GUIDE, protocols), today);
    }

    @Test
    void theFirstLookIsDueOnTheProtocolsDayAndLaterOutOfSeason() {
        Task inSeason = only(known(batch(counts(0, 0), null, 1), Tallies.none()));
        Task winter = only(known(batch(counts(0, 0), null, 1.6), Tallies.none()));

        assertThat(inSeason.kind()).isEqualTo(Task.Kind.LOOK);
        assertThat(inSeason.due())
                .isEqualTo(STUCK.plusDays(PLUGS.course().looks().first()));
        assertThat(words.of(inSeason.why())).contains("Day 20").contains("a gentle tug".substring(2));
        assertThat(winter.due()).isEqualTo(STUCK.plusDays(13));
        assertThat(words.figures(winter.working().steps().get(0))).isEqualTo("8 × 1.6 = day 13");
    }

    @Test
    void afterALookTheNextFollowsFromHowTheBatchHasGone() {
        Task next = only(known(moved(batch(counts(8, 0), STUCK.plusDays(17), 1), 0), tallies(17, 8, 16)));

        assertThat(next.kind()).isEqualTo(Task.Kind.LOOK);
        assertThat(next.due()).isBetween(STUCK.plusDays(20), STUCK.plusDays(26));
        assertThat(words.of(next.why())).contains("last seen on day 17").contains("in ten still waiting");
        assertThat(next.pressing()).isFalse();

        Task nothing = only(known(batch(counts(0, 0), STUCK.plusDays(17), 1), tallies(17, 0, 24)));
        assertThat(words.of(nothing.why()))
                .as("where nothing came, less is to be expected of the rest, with its figure")
                .containsPattern("By day \\d+, \\d+ in a hundred still waiting");
    }

    @Test
    void aLookLongOverdueIsPressing() {
        when(today.date()).thenReturn(STUCK.plusDays(60));
        assertThat(only(known(batch(counts(0, 0), STUCK.plusDays(17), 1), tallies(17, 0, 24)))
                        .pressing())
                .isTrue();
    }

    @Test
    void hopelessPiecesAreGivenUpUnlessTheyFeltFirmWhichIsSaid() {
        when(today.date()).thenReturn(STUCK.plusDays(95));
        BatchView late = batch(counts(20, 0), STUCK.plusDays(90), 1);
        Task soft = only(known(moved(late, 0), tallies(90, 20, 4)));
        Task firm = only(known(moved(late, 3), tallies(90, 20, 4)));

        assertThat(soft.kind()).isEqualTo(Task.Kind.GIVE_UP);
        assertThat(words.of(soft.why()))
                .contains("Nothing by day 90")
                .contains("in a hundred of such pieces")
                .doesNotContain("firm");
        assertThat(soft.pieces()).isEqualTo(4);
        assertThat(words.of(firm.why())).contains("3 of them last felt firm");
    }

    @Test
    void severalPiecesMakeOnePot() {
        Task task = new Task(
                Task.Kind.MOVE,
                batch(counts(7, 0), STUCK, 1),
                Sentence.written(""),
                Sentence.written(""),
                STUCK,
                false,
                null,
                7,
                null);

        assertThat(task.batch().piecesPerPot()).isEqualTo(3);
        assertThat(task.youngPlants()).isEqualTo(3);
    }

    @Test
    void piecesThatNobodyLookedAtForLongAreNotGivenUpWithTheOthers() {
        when(today.date()).thenReturn(STUCK.plusDays(95));
        Tallies partly =
                Tallies.of(Map.of(Interval.reached(0, 30), 16L, Interval.pending(90), 4L, Interval.pending(12), 4L));
        List<Task> tasks = finder.tasks(known(moved(batch(counts(16, 0), STUCK.plusDays(90), 1), 0), partly));

        assertThat(tasks).extracting(Task::kind).containsExactly(Task.Kind.GIVE_UP, Task.Kind.LOOK);
        assertThat(tasks.get(0).pieces()).isEqualTo(4);
        assertThat(words.of(tasks.get(0).why())).contains("The other 4 pieces may still come");
    }

    @Test
    void behindIsJudgedOnceUntilTheBatchChanges() {
        BehindBook book = new BehindBook();
        BatchView none = batch(counts(0, 0), STUCK.plusDays(46), 1);
        AtomicInteger asked = new AtomicInteger();
        Supplier<AsKnown> looks = () -> {
            asked.incrementAndGet();
            return new AsKnown(
                    new TreeMap<>(Map.of(35, tallies(35, 0, 24), 46, tallies(46, 0, 24))),
                    Collections.emptySortedMap());
        };
        Behind first = book.of(none, OUTLOOK, looks).orElseThrow();

        assertThat(first.isBehind()).isTrue();
        assertThat(book.isJudged(none)).isTrue();
        assertThat(book.of(none, OUTLOOK, looks).orElseThrow()).isSameAs(first);
        assertThat(asked).hasValue(1);
        assertThat(book.of(
                        batch(counts(0, 0), null, 1),
                        OUTLOOK,
                        () -> new AsKnown(Collections.emptySortedMap(), Collections.emptySortedMap())))
                .as("nothing can be said before the first look")
                .isEmpty();
    }

    private Task only(TaskFinder.BatchFacts known) {
        List<Task> tasks = finder.tasks(known);
        assertThat(tasks).hasSize(1);
        return tasks.get(0);
    }

    @Test
    void aQuestionThatALookHasAnsweredIsNoLongerAsked() {
        StageClock asks = StageClock.of(List.of(WATER), STUCK, List.of());
        Task asked = finder.tasks(in(asks, batch(counts(0, 0), STUCK.plusDays(12), 1)))
                .get(0);
        Task answered = finder.tasks(in(asks, readySince(STUCK.plusDays(12)))).get(0);

        assertThat(asked.kind()).isEqualTo(Task.Kind.ASK);
        assertThat(words.of(asked.what())).isEqualTo("Roots of 10 mm?");
        assertThat(answered.kind()).isEqualTo(Task.Kind.TEND);
        assertThat(words.of(answered.what())).isEqualTo("Water for the first time");
        assertThat(words.of(answered.why())).contains("found ready");
    }

    @Test
    void withinItsWindowNobodyIsToldThatNothingIsToBeExpected() {
        when(today.date()).thenReturn(STUCK.plusDays(60));
        Tallies none = tallies(55, 0, 24);
        Task late = only(known(batch(counts(0, 0), STUCK.plusDays(55), 1), none));

        assertThat(words.of(late.why())).contains("window").doesNotContain("reckoned to be ready");
    }

    private static final Protocol.Stage WATER = new Protocol.Stage(
            "water",
            Prose.of("Water for the first time"),
            Optional.empty(),
            Optional.of(new Protocol.When(Prose.of("Roots of <10 mm>? Then water for the first time"), 10, 7)),
            false);

    private static TaskFinder.BatchFacts in(StageClock clock, BatchView batch) {
        return new TaskFinder.BatchFacts(
                batch, OUTLOOK, Tallies.none(), Optional.empty(), List.of(), null, Optional.of(clock));
    }

    private static BatchView readySince(LocalDate day) {
        BatchView b = batch(counts(4, 0), day, 1);
        return new BatchView(
                b.identity(),
                b.way(),
                b.done(),
                b.taking(),
                b.clock(),
                b.vessel(),
                b.material(),
                b.guess(),
                new Progress(b.counts(), 0, 0, 0, 0, new Progress.Seen(day, day, day, 0), null),
                1);
    }

    private static TaskFinder.BatchFacts known(BatchView batch, Tallies ready) {
        return new TaskFinder.BatchFacts(
                batch,
                OUTLOOK,
                ready,
                ready.lastDay() == 0
                        ? Optional.empty()
                        : Optional.of(RunningBatch.of(OUTLOOK.in(batch.season()).prior(), ready)),
                List.of(),
                null,
                Optional.empty());
    }

    /** Ready by the day, and pending at it. */
    private static Tallies tallies(int day, long ready, long pending) {
        return Tallies.of(Map.of(Interval.reached(0, day), ready, Interval.pending(day), pending));
    }

    private static Counts counts(int ready, int lost) {
        return new Counts(24, ready, ready, lost, 0, 0);
    }

    private static BatchView batch(Counts counts, LocalDate lastLook, double slower) {
        return view(counts, lastLook, slower, 0, 0);
    }

    /** The same batch with all ready pieces moved, and so many of the rest last felt firm. */
    private static BatchView moved(BatchView b, int firm) {
        return view(b.counts(), b.lastLook(), b.season().slower(), b.counts().ready(), firm);
    }

    private static BatchView view(Counts counts, LocalDate lastLook, double slower, int moved, int firm) {
        HowDone done = new HowDone(
                PLUGS.key(), 1, PLUGS.method(), PLUGS.medium(), Treatments.read("hormone 0.3%"), null, null);
        return new BatchView(
                new BatchView.Identity(
                        UUID.randomUUID(), "26w18-A", new Origin(null, null, null, null), UUID.randomUUID()),
                new Way("Fuchsia ‘Skerry Lantern’", "soft", PLUGS.method(), PLUGS.medium(), "hormone 0.3%"),
                done,
                new Taking(STUCK, 24, STUCK, 24),
                new BatchView.Clock(STUCK, new SeasonFactors(slower, 1)),
                new Vessel(4, 6, null, 3),
                Material.UNKNOWN,
                Guess.NONE,
                new Progress(counts, moved, 0, moved, 0, new Progress.Seen(lastLook, lastLook, null, firm), null),
                1);
    }
}
