package garden.vivarium.app.batch;

import garden.vivarium.app.platform.Missing;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.RootingCurve;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.looks.BatchHistory;
import garden.vivarium.core.looks.MilestoneSigns;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Expected;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.BatchCode;
import garden.vivarium.core.timing.Milestone;
import garden.vivarium.core.timing.PieceCode;
import garden.vivarium.core.watch.StageClock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What pages read of batches: the sheet, the walk along the benches, the tasks of the round. */
@Service
public class BatchReads {

    private static final int FINISHED_SHOWN = 40;

    private final BatchRepository batches;
    private final TallyRepository tallies;
    private final PottingRepository pottings;
    private final Histories histories;
    private final OutlookText outlooks;
    private final TaskFinder finder;
    private final Evidence evidence;
    private final Running running;
    private final StandingWords standing;
    private final Stages stages;
    private final GuideLookup lookup;
    private final Stock stock;
    private final Says says;
    private final Today today;

    BatchReads(
            BatchRepository batches,
            TallyRepository tallies,
            PottingRepository pottings,
            Histories histories,
            OutlookText outlooks,
            TaskFinder finder,
            Evidence evidence,
            Running running,
            StandingWords standing,
            Stages stages,
            GuideLookup lookup,
            Stock stock,
            Says says,
            Today today) {
        this.batches = batches;
        this.tallies = tallies;
        this.pottings = pottings;
        this.histories = histories;
        this.outlooks = outlooks;
        this.finder = finder;
        this.evidence = evidence;
        this.running = running;
        this.standing = standing;
        this.stages = stages;
        this.lookup = lookup;
        this.stock = stock;
        this.says = says;
        this.today = today;
    }

    /** A batch in a list: its place, ribbon, tasks, and how it stands beside its usual, once a look could know. */
    public record Row(BatchView batch, PlaceView place, Ribbon ribbon, List<Task> tasks, Optional<Standing> standing) {

        /** Whether it has been found behind its usual. */
        public boolean isBehind() {
            return standing.map(Standing::isAlarm).orElse(false);
        }
    }

    /** The moves of a batch, the first first. */
    @Transactional(readOnly = true)
    public List<PottingView> pottings(UUID batch) {
        return pottings.findByBatchIdInOrderByMovedOn(List.of(batch)).stream()
                .map(Potting::view)
                .toList();
    }

    /** How long the work has taken here, by protocol. */
    @Transactional(readOnly = true)
    public Map<String, Worked> worked() {
        return batches.work().stream()
                .collect(Collectors.toMap(
                        BatchRepository.WorkRow::getProtocol,
                        w -> new Worked(w.getMinutes(), w.getPieces(), (int) w.getBatches())));
    }

    /**
     * Work that was timed.
     *
     * @param minutes in all
     * @param pieces in all
     * @param batches how many
     */
    public record Worked(long minutes, long pieces, int batches) {

        /** Minutes for so many pieces, at this pace. */
        public int minutesFor(int number) {
            return (int) Math.round((double) minutes * number / Math.max(1, pieces));
        }
    }

    /** The label code of a batch. */
    @Transactional(readOnly = true)
    public Optional<String> code(UUID id) {
        return batches.findById(id).map(b -> b.view().code());
    }

    /** All open batches in walking order. */
    @Transactional(readOnly = true)
    public List<Row> open() {
        return rows(batches.open());
    }

    /** The batches that ended last. */
    @Transactional(readOnly = true)
    public List<Row> lastFinished() {
        return rows(batches.lastClosed(FINISHED_SHOWN));
    }

    @Transactional(readOnly = true)
    public long countFinished() {
        return batches.countClosed();
    }

    /** What one batch needs, due or still to come. */
    @Transactional(readOnly = true)
    public List<Task> tasks(String code) {
        return rows(List.of(batch(code))).get(0).tasks();
    }

    /** The whole sheet of one batch. */
    @Transactional(readOnly = true)
    public BatchSheet sheet(String code) {
        Batch batch = batch(code);
        Row row = rows(List.of(batch)).get(0);
        Outlook outlook = outlooks.read(batch.outlookText());
        CheckLog log = histories.log(batch);
        Optional<BatchHistory> history =
                batch.stuckOn() == null ? Optional.empty() : Optional.of(histories.replay(batch, log));
        Tallies ready = history.map(h -> h.tallies(Milestone.READY)).orElse(Tallies.none());
        return new BatchSheet(
                row,
                outlook,
                row.batch().expected(outlook, today.date()),
                history.map(h -> details(batch, h, log)).orElse(List.of()),
                row.batch().lastKnowingLook() == null ? Optional.empty() : Optional.of(RootingCurve.fit(ready)),
                log.all().stream()
                        .map(c -> c.view(log.of(c).size()))
                        .sorted(Comparator.comparing(CheckView::lookedOn).reversed())
                        .toList(),
                pottings.findByBatchIdInOrderByMovedOn(List.of(batch.getId())).stream()
                        .map(Potting::view)
                        .toList(),
                lookup.protocol(row.batch()),
                lookup.method(batch.method()),
                lookup.signs(row.batch()),
                stages.clock(row.batch(), stages.said(List.of(batch.getId())).getOrDefault(batch.getId(), List.of())),
                running.toCome(row.batch(), ready));
    }

    /** Every batch of the nursery, as a family needs it. */
    @Transactional(readOnly = true)
    public List<Kin> kin() {
        return batches.kin().stream()
                .map(k -> new Kin(
                        k.getId(),
                        k.getCode(),
                        k.getStockPlantId(),
                        k.getFromBatchId(),
                        new Way(k.getPlant(), k.getPlantGroup(), k.getMethod(), k.getMedium(), k.getTreatment()),
                        k.getTakenOn(),
                        k.getTaken(),
                        k.getStuck() == null ? 0 : k.getStuck(),
                        k.getReady(),
                        k.getLost(),
                        k.getSent(),
                        k.getYoungPlants(),
                        k.getPiecesPerPot(),
                        k.getClosedOn() != null))
                .toList();
    }

    /** A batch as one of a family. */
    public record Kin(
            UUID id,
            String code,
            UUID stockPlantId,
            UUID fromBatchId,
            Way way,
            LocalDate takenOn,
            int taken,
            int stuck,
            int ready,
            int lost,
            int sent,
            int youngPlants,
            int piecesPerPot,
            boolean over) {}

    /** Batches whose code, old name or plant holds the words, running ones first. */
    @Transactional(readOnly = true)
    public List<BatchView> like(String words, int most) {
        return batches.like(words.replaceAll("([%_\\\\])", "\\\\$1"), most).stream()
                .map(Batch::view)
                .toList();
    }

    private Batch batch(String code) {
        return batches.findByCode(code).orElseThrow(() -> new Missing("no batch " + code));
    }

    private List<Row> rows(List<Batch> found) {
        List<UUID> ids = found.stream().map(Batch::getId).toList();
        if (ids.isEmpty()) {
            return List.of();
        }
        Map<UUID, PlaceView> places =
                stock.places().stream().collect(Collectors.toMap(PlaceView::id, Function.identity()));
        Map<UUID, List<PottingView>> moves = pottings.findByBatchIdInOrderByMovedOn(ids).stream()
                .map(Potting::view)
                .collect(Collectors.groupingBy(PottingView::batchId));
        Map<UUID, List<TallyRow>> counted =
                tallies.findByBatchIdIn(ids).stream().collect(Collectors.groupingBy(TallyRow::batchId));
        Map<UUID, List<StageClock.Said>> said = stages.said(ids);
        Map<UUID, Histories.AsKnown> looks = histories.asKnown(found.stream()
                .filter(b -> isWatched(b.view()) && !finder.isJudged(b.view()))
                .toList());
        NurseryRecord record = evidence.record();
        List<Row> rows = new ArrayList<>();
        for (Batch batch : found) {
            BatchView view = batch.view();
            Outlook outlook = outlooks.read(batch.outlookText());
            List<TallyRow> own = counted.getOrDefault(batch.getId(), List.of());
            Tallies ready = of(own, Milestone.READY);
            List<PottingView> moved = moves.getOrDefault(batch.getId(), List.of());
            boolean runs = view.closedOn() == null;
            Optional<RunningBatch> now = runs ? running.now(record, view, ready) : Optional.empty();
            TaskFinder.Known known = new TaskFinder.Known(
                    view,
                    outlook,
                    ready,
                    now,
                    moved.stream().filter(m -> m.settled() == null).toList(),
                    moved.isEmpty() ? null : moved.get(moved.size() - 1).movedOn(),
                    runs ? stages.clock(view, said.getOrDefault(view.id(), List.of())) : Optional.empty());
            rows.add(new Row(
                    view,
                    places.get(view.placeId()),
                    ribbon(view, outlook, of(own, Milestone.FIRST_SIGN), ready, moved),
                    runs ? finder.tasks(known) : List.of(),
                    isWatched(view)
                            ? finder.behind(view, outlook, () -> looks.get(view.id()))
                                    .map(judged -> standing.of(judged, lookup.method(view.method())))
                            : Optional.empty()));
        }
        rows.sort(Comparator.comparing((Row r) -> r.place().walkOrder())
                .thenComparing(r -> r.place().name())
                .thenComparing(r -> r.batch().takenOn())
                .thenComparing(r -> r.batch().code()));
        return rows;
    }

    /** Whether it is judged against its usual. */
    private static boolean isWatched(BatchView batch) {
        return batch.closedOn() == null && batch.isStuck() && !batch.isAsleep();
    }

    private Ribbon ribbon(BatchView b, Outlook outlook, Tallies firstSign, Tallies ready, List<PottingView> moved) {
        Expected expected = b.expected(outlook, today.date());
        MilestoneSigns signs = lookup.signs(b);
        LocalDate day = today.date();
        LocalDate start = b.takenOn().minusDays(1);
        LocalDate end = expected.end().plusDays(3);
        LocalDate last = b.closedOn() != null ? b.closedOn() : day;
        if (last.isAfter(end)) {
            end = last.plusDays(2);
        }
        List<LocalDate> looks = ready.daysKnown().stream()
                .map(d -> expected.stuck().plusDays(d))
                .toList();
        return Ribbon.of(
                start,
                end,
                expected,
                day,
                null,
                lookup.method(b.method()),
                signs.firstSign(),
                signs.ready(),
                b.stuck(),
                firstSign,
                ready,
                looks,
                moved,
                b.isAsleep()
                        ? Ribbon.Begin.ASLEEP
                        : b.isStuck() && !b.dayNought().equals(b.stuckOn()) ? Ribbon.Begin.AWAKE : Ribbon.Begin.STUCK,
                words(b, expected));
    }

    private String words(BatchView b, Expected e) {
        return "Ribbon of %s: %s, ready expected %s to %s; %d of %d ready, %d lost."
                .formatted(
                        b.code(),
                        b.isAsleep()
                                ? "asleep since " + says.day(b.stuckOn())
                                : b.isStuck()
                                        ? "day 0 on " + says.day(b.dayNought())
                                        : "drying since " + says.day(b.takenOn()),
                        says.day(e.ready().from()),
                        says.day(e.ready().to()),
                        b.counts().ready(),
                        b.isStuck() ? b.stuck() : b.taken(),
                        b.counts().lost());
    }

    private static List<PieceDetail> details(Batch batch, BatchHistory history, CheckLog log) {
        Map<Integer, PieceDetail.Noted> noted = new HashMap<>();
        // Checks come in order of day, so that what was noted last stands.
        log.standing()
                .forEach(c -> log.of(c)
                        .forEach(r -> noted.merge(r.piece(), PieceDetail.Noted.of(r), PieceDetail.Noted::then)));
        BatchCode code = BatchCode.parse(batch.code());
        int moved = batch.view().moved();
        List<PieceDetail> details = new ArrayList<>();
        for (var p : history.pieces()) {
            boolean potted = p.wasReady() && !p.state().isEnd() && moved-- > 0;
            details.add(new PieceDetail(
                    new PieceCode(code, p.piece()),
                    p,
                    noted.getOrDefault(p.piece(), PieceDetail.Noted.NOTHING),
                    potted));
        }
        return details;
    }

    private static Tallies of(List<TallyRow> rows, Milestone milestone) {
        return Tallies.of(rows.stream()
                .filter(t -> t.milestone() == milestone)
                .collect(Collectors.toMap(TallyRow::interval, TallyRow::pieces, Long::sum)));
    }
}
