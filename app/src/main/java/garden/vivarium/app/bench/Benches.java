package garden.vivarium.app.bench;

import garden.vivarium.app.batch.AsKnown;
import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.evidence.Running;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.watch.StageClock;
import java.time.LocalDate;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.WeakHashMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Batches in walking order, each with its ribbon, what it needs, and how it stands beside its usual. */
@Service
public class Benches {

    private static final int FINISHED_SHOWN = 40;

    private final BatchBook book;
    private final Evidence evidence;
    private final Running running;
    private final TaskFinder finder;
    private final BehindBook behind;
    private final StandingWords standing;
    private final Ribbons ribbons;
    private final GuideLookup lookup;
    private final Stock stock;
    private final Today today;
    // A row follows from its batch, the finished batches and the day; it goes with those that it was reckoned beside.
    private final Map<Object, Map<UUID, Kept>> kept = Collections.synchronizedMap(new WeakHashMap<>());

    Benches(
            BatchBook book,
            Evidence evidence,
            Running running,
            TaskFinder finder,
            BehindBook behind,
            StandingWords standing,
            Ribbons ribbons,
            GuideLookup lookup,
            Stock stock,
            Today today) {
        this.book = book;
        this.evidence = evidence;
        this.running = running;
        this.finder = finder;
        this.behind = behind;
        this.standing = standing;
        this.ribbons = ribbons;
        this.lookup = lookup;
        this.stock = stock;
        this.today = today;
    }

    /**
     * A batch in a list.
     *
     * @param standing how it stands beside its usual, once a look could know
     * @param drawn a letter for each piece, or null: see {@link BatchBook.Entry}
     */
    public record Row(
            BatchView batch,
            PlaceView place,
            Ribbon ribbon,
            List<Task> tasks,
            Optional<Standing> standing,
            String drawn) {

        /** The same, where its place was changed. */
        Row at(PlaceView now) {
            return new Row(batch, now, ribbon, tasks, standing, drawn);
        }

        /** Whether it has been found behind its usual. */
        public boolean isBehind() {
            return standing.map(Standing::isAlarm).orElse(false);
        }

        /** Whether no first sign was there when it was looked for past its day: a notice, and no alarm. */
        public boolean isLate() {
            return standing.map(Standing::isNotice).orElse(false);
        }
    }

    /** All open batches in walking order. */
    @Transactional(readOnly = true)
    public List<Row> open() {
        return rows(book.open());
    }

    /** The batches that ended last. */
    @Transactional(readOnly = true)
    public List<Row> lastFinished() {
        return rows(book.lastClosed(FINISHED_SHOWN));
    }

    /** How many batches have ended. */
    @Transactional(readOnly = true)
    public long countFinished() {
        return book.countClosed();
    }

    /** What one batch needs, due or still to come. */
    @Transactional(readOnly = true)
    public List<Task> tasks(String code) {
        return row(book.entry(code)).tasks();
    }

    /** Reckons the row of a batch, to be at hand when a list is asked for; nothing where it is gone meanwhile. */
    @Transactional(readOnly = true)
    public void reckon(UUID batch) {
        book.code(batch).ifPresent(this::tasks);
    }

    /** One batch as in the list. */
    Row row(BatchBook.Entry entry) {
        return rows(List.of(entry)).get(0);
    }

    private List<Row> rows(List<BatchBook.Entry> found) {
        if (found.isEmpty()) {
            return List.of();
        }
        NurseryRecord record = evidence.record();
        LocalDate day = today.date();
        // What a transaction has changed and not yet kept is nobody else's to see.
        Map<UUID, Kept> known = TransactionSynchronizationManager.isCurrentTransactionReadOnly()
                ? kept.computeIfAbsent(record.finishedOnly(), r -> new ConcurrentHashMap<>())
                : new HashMap<>();
        List<BatchBook.Entry> fresh = found.stream()
                .filter(e -> !Kept.holds(known.get(e.batch().id()), e.batch(), day))
                .toList();
        Map<UUID, PlaceView> places =
                stock.places().stream().collect(Collectors.toMap(PlaceView::id, Function.identity()));
        if (!fresh.isEmpty()) {
            Read read = read(fresh, places, record);
            fresh.forEach(e -> known.put(e.batch().id(), new Kept(e.batch().changes(), day, row(e, read))));
        }
        return found.stream()
                .map(e ->
                        known.get(e.batch().id()).row().at(places.get(e.batch().placeId())))
                .sorted(Comparator.comparing((Row r) -> r.place().walkOrder())
                        .thenComparing(r -> r.place().name())
                        .thenComparing(r -> r.batch().takenOn())
                        .thenComparing(r -> r.batch().code()))
                .toList();
    }

    /** A row as it was on a day, of a batch that has not changed since, beside a record that has not either. */
    private record Kept(int changes, LocalDate day, Row row) {

        static boolean holds(Kept kept, BatchView batch, LocalDate day) {
            return kept != null
                    && kept.changes() == batch.changes()
                    && kept.day().equals(day)
                    && kept.row().batch().way().equals(batch.way());
        }
    }

    private Read read(List<BatchBook.Entry> of, Map<UUID, PlaceView> places, NurseryRecord record) {
        List<BatchView> batches = of.stream().map(BatchBook.Entry::batch).toList();
        List<UUID> ids = batches.stream().map(BatchView::id).toList();
        return new Read(
                places,
                book.moves(batches),
                evidence.counted(ids),
                book.stages(batches.stream().filter(b -> b.closedOn() == null).toList()),
                book.asKnown(batches.stream()
                        .filter(b -> isWatched(b) && !behind.isJudged(b))
                        .map(BatchView::id)
                        .toList()),
                record);
    }

    /** What is read at once for many batches. */
    private record Read(
            Map<UUID, PlaceView> places,
            Map<UUID, List<PottingView>> moves,
            Map<UUID, Evidence.Counted> counted,
            Map<UUID, StageClock> stages,
            Map<UUID, AsKnown> looks,
            NurseryRecord record) {}

    private Row row(BatchBook.Entry entry, Read read) {
        BatchView batch = entry.batch();
        Outlook outlook = entry.outlook();
        Evidence.Counted counted = read.counted().getOrDefault(batch.id(), Evidence.Counted.NOTHING);
        List<PottingView> moved = read.moves().getOrDefault(batch.id(), List.of());
        boolean runs = batch.closedOn() == null;
        Optional<RunningBatch> now = runs ? running.now(read.record(), batch, counted.ready()) : Optional.empty();
        TaskFinder.BatchFacts known = new TaskFinder.BatchFacts(
                batch,
                outlook,
                counted.ready(),
                now,
                moved.stream().filter(m -> m.settled() == null).toList(),
                moved.isEmpty() ? null : moved.get(moved.size() - 1).movedOn(),
                Optional.ofNullable(read.stages().get(batch.id())));
        return new Row(
                batch,
                read.places().get(batch.placeId()),
                ribbons.of(entry, counted, moved),
                runs ? finder.tasks(known) : List.of(),
                isWatched(batch)
                        ? behind.of(batch, outlook, () -> looks(batch.id(), read))
                                .map(judged -> standing.of(judged, lookup.method(batch.method())))
                        : Optional.empty(),
                entry.drawn());
    }

    /** Its looks as they were known; read now if it was judged when the others were read, and is no longer. */
    private AsKnown looks(UUID batch, Read read) {
        AsKnown found = read.looks().get(batch);
        return found != null ? found : book.asKnown(List.of(batch)).get(batch);
    }

    /** Whether it is judged against its usual. */
    private static boolean isWatched(BatchView batch) {
        return batch.closedOn() == null && batch.isStuck() && !batch.isAsleep();
    }
}
