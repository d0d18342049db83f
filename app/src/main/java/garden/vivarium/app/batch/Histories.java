package garden.vivarium.app.batch;

import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.Words;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.ShownTable;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Method;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.BatchHistory;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.looks.Firmness;
import garden.vivarium.core.looks.ImpossibleLook;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Look;
import garden.vivarium.core.looks.MilestoneSigns;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.PieceView;
import garden.vivarium.core.looks.Reading;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.SeasonOutlook;
import garden.vivarium.core.timing.Milestone;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** From the stored looks of a batch to the core's replay, and from that to the tallies and counts that are kept. */
@Component
class Histories {

    /** The spread between batches that a batch from old records is judged with. */
    static final double USUAL_RHO = 0.1;

    private final CheckRepository checks;
    private final ReadingRepository readings;
    private final PottingRepository pottings;
    private final ApplicationEventPublisher events;
    private final GuideLookup lookup;
    private final Guide guide;
    private final Words words;

    Histories(
            CheckRepository checks,
            ReadingRepository readings,
            PottingRepository pottings,
            ApplicationEventPublisher events,
            GuideLookup lookup,
            Guide guide,
            Words words) {
        this.checks = checks;
        this.readings = readings;
        this.pottings = pottings;
        this.events = events;
        this.lookup = lookup;
        this.guide = guide;
        this.words = words;
    }

    /** Reads all checks of a batch, with their readings. */
    CheckLog log(Batch batch) {
        List<Check> all = checks.ofBatch(batch.getId());
        return new CheckLog(
                all,
                all.stream().allMatch(Check::byCount)
                        ? Map.of()
                        : readings.ofBatch(batch.getId()).stream()
                                .collect(Collectors.groupingBy(PieceReading::checkId)));
    }

    /** Replays the looks that stand. */
    BatchHistory replay(Batch batch, CheckLog log) {
        return replay(batch, looks(batch, log));
    }

    private BatchHistory replay(Batch batch, List<Look> looks) {
        try {
            return BatchHistory.replay(batch.stuck(), signs(batch), looks);
        } catch (ImpossibleLook e) {
            throw new LookRefused(e, words);
        }
    }

    /**
     * Replays the looks that stand together with others that are not kept.
     *
     * @throws LookRefused if they cannot be true beside what is known
     */
    void tryOn(Batch batch, List<LookCommand> more) {
        List<Look> looks = looks(batch, log(batch));
        more.forEach(c -> looks.add(look(batch, c)));
        replay(batch, looks);
    }

    /** What the looks until a day, that day among them, said. */
    Counts countsOn(Batch batch, LocalDate day) {
        CheckLog log = log(batch);
        List<Check> until =
                log.standing().stream().filter(c -> !c.lookedOn().isAfter(day)).toList();
        return replay(batch, new CheckLog(until, log.readings())).counts();
    }

    /** The day of the first look that cannot be true of the batch as it is now; empty where all can. */
    Optional<LocalDate> firstImpossible(Batch batch) {
        CheckLog all = log(batch);
        List<Check> standing = all.standing();
        for (int n = 1; n <= standing.size(); n++) {
            try {
                replay(batch, new CheckLog(standing.subList(0, n), all.readings()));
            } catch (LookRefused impossible) {
                return Optional.of(standing.get(n - 1).lookedOn());
            }
        }
        return Optional.empty();
    }

    private static Look look(Batch batch, LookCommand c) {
        int day = day(batch, c.lookedOn());
        if (c.counts() == null) {
            return new Look.ByPiece(
                    day,
                    c.pieces().stream()
                            .map(p -> new Reading(
                                    p.piece(),
                                    p.look(),
                                    p.state(),
                                    Optional.ofNullable(p.cause()),
                                    Optional.ofNullable(p.firmness())))
                            .toList());
        }
        LookCommand.Counted n = c.counts();
        OptionalInt firstSign = n.firstSign() == null ? OptionalInt.empty() : OptionalInt.of(n.firstSign());
        return new Look.ByCount(
                day,
                c.look(),
                firstSign,
                n.ready(),
                n.lost(),
                n.sent(),
                n.gaveUp(),
                n.lostReady() == null ? OptionalInt.empty() : OptionalInt.of(n.lostReady()));
    }

    MilestoneSigns signs(Batch batch) {
        return lookup.signs(
                batch.done().protocol(),
                batch.done().protocolVersion(),
                batch.done().method());
    }

    /** Days since day 0. What was seen after sticking while it slept counts as of the first day. */
    private static int day(Batch batch, LocalDate lookedOn) {
        long sinceStuck = ChronoUnit.DAYS.between(batch.stuckOn(), lookedOn);
        long since = ChronoUnit.DAYS.between(batch.dayZero(), lookedOn);
        return (int) (sinceStuck <= 0 ? sinceStuck : Math.max(1, since));
    }

    /** Rebuilds what is kept of a batch from its readings, in the transaction that changed them. */
    @Transactional(propagation = Propagation.MANDATORY)
    void refresh(Batch batch) {
        refresh(batch, false);
    }

    /** The same, closed at once if nothing more is asked of it. */
    @Transactional(propagation = Propagation.MANDATORY)
    void refresh(Batch batch, boolean over) {
        judge(batch, log(batch), over, false);
    }

    /** The same for a batch that has just been made with these looks by count, closed at once if nothing more is asked of it. */
    @Transactional(propagation = Propagation.MANDATORY)
    void refreshNew(Batch batch, List<Check> first, boolean over) {
        judge(batch, new CheckLog(first, Map.of()), over, true);
    }

    /** Tells anew what is known of a batch, and changes nothing of it. */
    @Transactional(propagation = Propagation.MANDATORY)
    void retell(Batch batch) {
        tell(batch, replay(batch, log(batch)), false);
    }

    private void judge(Batch batch, CheckLog log, boolean over, boolean first) {
        List<Check> standing = log.standing();
        MilestoneSigns signs = signs(batch);
        BatchHistory history = replay(batch, log);
        LocalDate last = standing.stream()
                .map(Check::lookedOn)
                .max(Comparator.naturalOrder())
                .orElse(null);
        LocalDate knowing = standing.stream()
                .filter(c -> c.look().canKnow(signs.ready()))
                .map(Check::lookedOn)
                .max(Comparator.naturalOrder())
                .orElse(null);
        int firm = (int) history.pieces().stream()
                .filter(p -> !p.state().isEnd() && !p.wasReady())
                .filter(p -> p.firmness().filter(f -> f == Firmness.FIRM).isPresent())
                .count();
        batch.stands(
                history.counts(),
                new Progress.Seen(
                        last, knowing, earliestWaiting(batch, history, history.tallies(Milestone.READY)), firm));
        batch.draws(letters(batch, history));
        if (over) {
            batch.leave();
        }
        batch.closed(over || isOver(batch.view()) ? (last == null ? batch.stuckOn() : last) : null);
        tell(batch, history, first);
    }

    /** n nothing yet, f first sign, r ready, l lost, m moved on or sent away: which ready ones were moved nobody says, so the first. */
    private static String letters(Batch batch, BatchHistory history) {
        StringBuilder letters = new StringBuilder();
        int moved = batch.view().moved();
        for (PieceView p : history.pieces()) {
            boolean gone = p.state() == PieceState.READY && moved-- > 0;
            letters.append(
                    switch (p.state()) {
                        case NONE -> 'n';
                        case FIRST_SIGN -> 'f';
                        case READY -> gone ? 'm' : 'r';
                        case LOST -> 'l';
                        case SENT -> 'm';
                    });
        }
        return letters.toString();
    }

    private void tell(Batch batch, BatchHistory history, boolean first) {
        BatchView view = batch.view();
        BatchJudged.Life life = view.closedOn() != null
                ? BatchJudged.Life.OVER
                : view.isAsleep() ? BatchJudged.Life.ASLEEP : BatchJudged.Life.RUNNING;
        WayBatch told = new WayBatch(
                view.way(),
                view.season(),
                view.takenOn().isBefore(view.stuckOn()) ? view.taken() : 0,
                view.stuck(),
                view.youngPlants() == 0 ? WayBatch.Moved.NONE : settled(batch),
                signs(batch).firstSign().isPresent()
                        ? history.tallies(Milestone.FIRST_SIGN).unsureBy(batch.unsureDays())
                        : Tallies.none(),
                history.tallies(Milestone.READY).unsureBy(batch.unsureDays()));
        events.publishEvent(new BatchJudged(batch.getId(), told, life, first));
    }

    private WayBatch.Moved settled(Batch batch) {
        List<PottingView> asked = pottings.findByBatchIdInOrderByMovedOn(List.of(batch.getId())).stream()
                .map(Potting::view)
                .filter(p -> p.settled() != null && p.youngPlants() > 0)
                .toList();
        return new WayBatch.Moved(
                asked.stream().mapToInt(PottingView::settled).sum(),
                // What left before anybody saw whether it settles tells nothing of settling.
                asked.stream()
                        .mapToInt(p -> p.youngPlants() - p.lost().sentUnsettled())
                        .sum());
    }

    /** What was known of stuck batches by each of their looks, read at once. */
    Map<UUID, AsKnown> asKnown(List<Batch> batches) {
        List<UUID> ids = batches.stream().map(Batch::getId).toList();
        Map<UUID, List<Check>> ofBatch = checks.ofBatches(ids).stream()
                .filter(c -> !c.isWithdrawn())
                .collect(Collectors.groupingBy(Check::batchId));
        Map<UUID, List<PieceReading>> ofCheck =
                readings.ofBatches(ids).stream().collect(Collectors.groupingBy(PieceReading::checkId));
        Map<UUID, AsKnown> known = new HashMap<>();
        for (Batch b : batches) {
            BatchHistory history = replay(b, new CheckLog(ofBatch.getOrDefault(b.getId(), List.of()), ofCheck));
            known.put(
                    b.getId(),
                    new AsKnown(
                            unsure(b, history.asKnown(Milestone.READY)),
                            signs(b).firstSign().isEmpty()
                                    ? Collections.emptySortedMap()
                                    : unsure(b, history.asKnown(Milestone.FIRST_SIGN))));
        }
        return known;
    }

    private static SortedMap<Integer, Tallies> unsure(Batch batch, SortedMap<Integer, Tallies> known) {
        SortedMap<Integer, Tallies> unsure = new TreeMap<>();
        known.forEach((day, seen) -> unsure.put(day, seen.unsureBy(batch.unsureDays())));
        return unsure;
    }

    /** What the guide expects of a way that has no protocol of its own. */
    Outlook guideOutlook(String method, String medium, String group) {
        Optional<Protocol> nearest = guide.nearest(method, medium, group);
        if (nearest.isPresent()) {
            return Outlook.ofGuide(nearest.get(), USUAL_RHO);
        }
        Method m = lookup.method(method);
        RootingTime ready = RootingTime.ofGuide(m.ready().days());
        StrikeRate strike = StrikeRate.ofGuide(m.rate(), USUAL_RHO);
        SeasonOutlook always = new SeasonOutlook(
                strike,
                strike,
                m.firstSign().map(f -> RootingTime.ofGuide(f.days())),
                ready,
                ShownTable.ofGuide(ready, USUAL_RHO));
        return Outlook.always(always);
    }

    /** The looks by count that stand, as they were typed. */
    List<LookCommand> counts(Batch batch) {
        return log(batch).standing().stream()
                .filter(Check::byCount)
                .map(Check::command)
                .toList();
    }

    private static List<Look> looks(Batch batch, CheckLog log) {
        List<Look> looks = new ArrayList<>();
        for (Check c : log.standing()) {
            if (c.byCount()) {
                looks.add(look(batch, c.command()));
                continue;
            }
            int day = day(batch, c.lookedOn());
            looks.add(new Look.ByPiece(
                    day,
                    log.of(c).stream()
                            .map(PieceReading::reading)
                            .sorted(Comparator.comparingInt(Reading::piece))
                            .toList()));
        }
        return looks;
    }

    /** The day by which the piece that has waited longest in readiness was seen ready, given how many have been moved. */
    private LocalDate earliestWaiting(Batch batch, BatchHistory history, Tallies ready) {
        int gone = batch.view().moved()
                + (int) history.pieces().stream()
                        .filter(PieceView::wasReady)
                        .filter(p -> p.state().isEnd())
                        .count();
        return ready.counts().entrySet().stream()
                .filter(e -> e.getKey().outcome() == Outcome.REACHED)
                .sorted(Comparator.comparingInt(
                        (Map.Entry<Interval, Long> e) -> e.getKey().by()))
                .flatMap(e ->
                        Collections.nCopies(e.getValue().intValue(), e.getKey().by()).stream())
                .skip(gone)
                .findFirst()
                .map(day -> batch.dayZero().plusDays(day))
                .orElse(null);
    }

    private boolean isOver(BatchView b) {
        if (b.counts().pending() > 0) {
            return false;
        }
        if (lookup.method(b.method()).pottedOnDay0()) {
            return true;
        }
        return b.readyToMove() == 0 && (b.moved() == 0 || !pottings.existsByBatchIdAndSettledIsNull(b.id()));
    }
}
