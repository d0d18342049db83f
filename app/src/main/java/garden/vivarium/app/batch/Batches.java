package garden.vivarium.app.batch;

import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Missing;
import garden.vivarium.app.platform.Problem;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.PieceView;
import garden.vivarium.core.looks.Refusal;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.BatchCode;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Season;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is done with batches. Each method is one sentence of the work and one transaction. */
@Service
public class Batches {

    /** The largest batch. */
    public static final int MOST_PIECES = 2000;

    private static final String GIVEN_UP = "given up as stalled";

    private final BatchRepository batches;
    private final CheckRepository checks;
    private final ReadingRepository readings;
    private final PottingRepository pottings;
    private final PieceFactRepository facts;
    private final Histories histories;
    private final Evidence evidence;
    private final OutlookText outlooks;
    private final GuideLookup lookup;
    private final Guide guide;
    private final People people;
    private final CurrentNursery nursery;
    private final Today today;

    Batches(
            BatchRepository batches,
            CheckRepository checks,
            ReadingRepository readings,
            PottingRepository pottings,
            PieceFactRepository facts,
            Histories histories,
            Evidence evidence,
            OutlookText outlooks,
            GuideLookup lookup,
            Guide guide,
            People people,
            CurrentNursery nursery,
            Today today) {
        this.batches = batches;
        this.checks = checks;
        this.readings = readings;
        this.pottings = pottings;
        this.facts = facts;
        this.histories = histories;
        this.evidence = evidence;
        this.outlooks = outlooks;
        this.lookup = lookup;
        this.guide = guide;
        this.people = people;
        this.nursery = nursery;
        this.today = today;
    }

    /**
     * Makes a batch: stuck at once, or taken and left to dry. Its code is of the week in which its label is written.
     *
     * @throws Problem naming the field, if days or counts cannot be
     */
    @Transactional
    public BatchView make(NewBatch wanted) {
        Batch batch = make(
                wanted,
                evidence.outlook(
                        protocolFor(wanted),
                        wanted.plant().name(),
                        wanted.plant().group()));
        if (wanted.stuckOn() != null) {
            histories.refresh(batch);
        }
        return batch.view();
    }

    /**
     * Makes a batch of the past with all its looks. No more was known of it beforehand than the guide says. When all are
     * made, {@link #recordsAreIn} must be called in the same transaction.
     *
     * @param over whether nothing more is asked of it: what was ready has long been moved
     */
    @Transactional
    public void makeFromRecords(NewBatch wanted, List<LookCommand> looks, boolean over) {
        Batch batch = make(
                wanted,
                histories.guideOutlook(
                        wanted.method(), wanted.medium(), wanted.plant().group()));
        List<Check> made = new ArrayList<>();
        for (LookCommand look : looks) {
            made.add(new Check(batch.getId(), made.size(), look, personName(), today.now()));
        }
        checks.saveAll(made);
        histories.refreshNew(batch, made);
        if (over) {
            close(batch);
        }
    }

    /** Tells evidence of batches made from records. */
    @Transactional
    public void recordsAreIn() {
        evidence.changed();
    }

    private Batch make(NewBatch wanted, Outlook outlook) {
        refuseBadNumbers(wanted);
        Season season = outlook.season();
        Climate climate = histories.climateOf(wanted.placeId());
        Hemisphere hemisphere = people.hemisphere();
        LocalDate dayNought = wanted.stuckOn() != null ? wanted.stuckOn() : wanted.takenOn();
        Batch batch = new Batch(
                nextCode(dayNought),
                wanted,
                outlooks.write(outlook),
                season.slowing(dayNought, climate, hemisphere),
                season.thinning(dayNought, climate, hemisphere));
        batches.save(batch);
        return batch;
    }

    /**
     * The wounds have dried: sticks what came through.
     *
     * @throws Problem if more are stuck than were taken, or before they were
     */
    @Transactional
    public BatchView stick(String code, LocalDate day, int pieces) {
        Batch batch = batch(code);
        if (batch.stuckOn() != null) {
            throw new Problem("stuck", "%s is stuck already, on %s.".formatted(code, batch.stuckOn()));
        }
        if (pieces < 1 || pieces > batch.taken()) {
            throw new Problem(
                    "stuck",
                    "%d of %d taken cannot be stuck; give 1 to %d.".formatted(pieces, batch.taken(), batch.taken()));
        }
        if (day.isBefore(batch.takenOn())) {
            throw new Problem(
                    "stuckOn", "They were taken on %s; give that day or a later one.".formatted(batch.takenOn()));
        }
        refuseFuture("stuckOn", day);
        batch.stick(day, pieces);
        histories.refresh(batch);
        return batch.view();
    }

    /**
     * Writes down a look. The same client id twice is one look.
     *
     * @throws Refusal if it cannot be true beside what is known
     * @throws Problem if it is dated ahead
     * @throws StaleBatch if the batch changed since its writer saw it
     */
    @Transactional
    public BatchView look(String code, LookCommand look) {
        Batch batch = batch(code);
        Optional<Check> same = checks.findByClientId(look.clientId());
        if (same.isPresent()) {
            if (!same.get().batchId().equals(batch.getId())) {
                throw new Problem("clientId", "This look was written down for another batch already.");
            }
            return batch.view();
        }
        if (batch.stuckOn() == null) {
            throw new Problem("lookedOn", code + " is not stuck yet; stick it first.");
        }
        refuseFuture("lookedOn", look.lookedOn());
        if (look.knownChanges() != null && look.knownChanges() != batch.changes()) {
            throw new StaleBatch(batch.changes());
        }
        Check check = new Check(batch.getId(), checks.countByBatchId(batch.getId()), look, personName(), today.now());
        List<PieceReading> seen = look.pieces().stream()
                .map(p -> new PieceReading(check.getId(), p))
                .toList();
        checks.save(check);
        readings.saveAll(seen);
        histories.refresh(batch);
        return batch.view();
    }

    /** Writes down many looks of one batch at once, replaying only when all are there. */
    @Transactional
    public BatchView lookMany(String code, List<LookCommand> looks) {
        Batch batch = batch(code);
        int entry = checks.countByBatchId(batch.getId());
        for (LookCommand look : looks) {
            Check check = new Check(batch.getId(), entry++, look, personName(), today.now());
            checks.save(check);
            readings.saveAll(look.pieces().stream()
                    .map(p -> new PieceReading(check.getId(), p))
                    .toList());
        }
        histories.refresh(batch);
        return batch.view();
    }

    /** Takes a check back. It stays in the history, struck through. */
    @Transactional
    public BatchView takeBack(String code, UUID checkId) {
        Batch batch = batch(code);
        Check check = checks.findById(checkId)
                .filter(c -> c.batchId().equals(batch.getId()))
                .orElseThrow(() -> new Missing("no such check"));
        if (!check.isWithdrawn()) {
            check.withdraw(personName(), today.now());
            histories.refresh(batch);
        }
        return batch.view();
    }

    /**
     * Moves ready pieces on into pots.
     *
     * @throws Problem if more are moved than stand ready
     */
    @Transactional
    public BatchView move(String code, LocalDate day, int pieces, int youngPlants) {
        Batch batch = batch(code);
        int able = batch.view().readyToMove();
        if (pieces < 1 || pieces > able) {
            throw new Problem(
                    "pieces",
                    "%d cannot be moved: %d stand ready. Give 1 to %d, or log more as ready first."
                            .formatted(pieces, able, able));
        }
        if (youngPlants < 1) {
            throw new Problem("youngPlants", "Say how many young plants they make, 1 or more.");
        }
        refuseFuture("movedOn", day);
        if (day.isBefore(batch.stuckOn())) {
            throw new Problem("movedOn", "It was stuck on %s; give a later day.".formatted(batch.stuckOn()));
        }
        pottings.save(new Potting(batch.getId(), day, pieces, youngPlants));
        batch.moved(pieces);
        histories.refresh(batch);
        return batch.view();
    }

    /** Says how many of the young plants of one day's move have settled. */
    @Transactional
    public BatchView settle(String code, UUID pottingId, LocalDate day, int settled) {
        Batch batch = batch(code);
        Potting potting = pottings.findById(pottingId)
                .filter(p -> p.view().batchId().equals(batch.getId()))
                .orElseThrow(() -> new Missing("no such move"));
        if (settled < 0 || settled > potting.view().youngPlants()) {
            throw new Problem(
                    "settled",
                    "%d young plants were set up that day; give 0 to %d."
                            .formatted(
                                    potting.view().youngPlants(), potting.view().youngPlants()));
        }
        if (potting.view().settled() == null) {
            potting.settle(settled, day);
            batch.settled(settled);
            histories.refresh(batch);
        }
        return batch.view();
    }

    /** Says of the one move that is not settled yet how many young plants settled. */
    @Transactional
    public BatchView settleAll(String code, LocalDate day, int settled) {
        UUID waiting = pottings
                .findByBatchIdInAndSettledIsNull(List.of(batch(code).getId()))
                .stream()
                .findFirst()
                .orElseThrow(() -> new Missing("nothing waits to settle"))
                .getId();
        return settle(code, waiting, day, settled);
    }

    /** Gives up what still stands with nothing: lost as stalled. */
    @Transactional
    public BatchView giveUp(String code, LocalDate day) {
        Batch batch = batch(code);
        Counts counts = batch.view().counts();
        if (counts.pending() == 0) {
            return batch.view();
        }
        List<PieceView> pieces = histories.replay(batch).pieces();
        // Where counts were given to anonymous pieces, nobody knows which ones still stand: then the rest goes by
        // count.
        boolean known = batch.view().isTray() && pieces.stream().noneMatch(PieceView::byCount);
        LookCommand given = known ? stalledPieces(pieces, day) : stalledCount(counts, day);
        return look(code, given);
    }

    private static LookCommand stalledPieces(List<PieceView> pieces, LocalDate day) {
        List<LookCommand.Seen> stalled = pieces.stream()
                .filter(p -> !p.state().isEnd() && !p.wasReady())
                .map(p -> new LookCommand.Seen(
                        p.piece(), LookKind.LIFTED, PieceState.LOST, LossCause.STALLED, null, null, null, null, null))
                .toList();
        return LookCommand.ofPieces(UUID.randomUUID(), day, LookKind.LIFTED, stalled, GIVEN_UP, null);
    }

    private static LookCommand stalledCount(Counts counts, LocalDate day) {
        return LookCommand.ofCounts(
                UUID.randomUUID(),
                day,
                LookKind.LIFTED,
                new LookCommand.Counted(null, counts.ready(), counts.lost() + counts.pending(), counts.sent(), null),
                GIVEN_UP,
                null);
    }

    /** A look that found nothing changed: the counts as they were. */
    @Transactional
    public BatchView lookUnchanged(String code, LocalDate day) {
        Batch batch = batch(code);
        Counts counts = batch.view().counts();
        Integer firstSign = histories.signs(batch).firstSign().isPresent() ? counts.firstSign() : null;
        return look(
                code,
                LookCommand.ofCounts(
                        UUID.randomUUID(),
                        day,
                        lookup.usualLook(batch.view()),
                        new LookCommand.Counted(firstSign, counts.ready(), counts.lost(), counts.sent(), null),
                        "nothing changed",
                        null));
    }

    /** Notes what is known of single pieces. */
    @Transactional
    public void describePiece(String code, int piece, String kind, Integer lengthMm, Integer nodes) {
        Batch batch = batch(code);
        PieceFact fact =
                facts.findByBatchIdAndPiece(batch.getId(), piece).orElseGet(() -> new PieceFact(batch.getId(), piece));
        fact.say(kind, lengthMm, nodes);
        facts.save(fact);
    }

    /**
     * Ends a batch that came from old records: what was ready has long been moved, and nothing more is asked of it.
     */
    @Transactional
    public void closeOldRecord(String code) {
        close(batch(code));
    }

    private static void close(Batch batch) {
        BatchView view = batch.view();
        if (view.readyToMove() > 0) {
            batch.moved(view.readyToMove());
        }
        batch.closed(view.lastLook() == null ? view.stuckOn() : view.lastLook());
    }

    @Transactional(readOnly = true)
    public BatchView find(String code) {
        return batch(code).view();
    }

    /** The batch of the code, if there is one. */
    @Transactional(readOnly = true)
    public Optional<BatchView> ofCode(String code) {
        return batches.findByCode(code).map(Batch::view);
    }

    /** Whether a look of this client id is held, standing or taken back. */
    @Transactional(readOnly = true)
    public boolean isHeld(UUID clientId) {
        return checks.findByClientId(clientId).isPresent();
    }

    /**
     * Tries looks on a batch without keeping them.
     *
     * @throws Refusal if they cannot be true beside what is known
     */
    @Transactional(readOnly = true, noRollbackFor = Refusal.class)
    public void tryLooks(String code, List<LookCommand> looks) {
        histories.tryOn(batch(code), looks);
    }

    /** The batch that had this code in the records it came from. */
    @Transactional(readOnly = true)
    public Optional<BatchView> ofOldCode(String oldCode) {
        return batches.findByOldCode(oldCode).map(Batch::view);
    }

    /** All batches of these old codes. */
    @Transactional(readOnly = true)
    public List<BatchView> ofOldCodes(List<String> oldCodes) {
        List<BatchView> found = new ArrayList<>();
        // Databases dislike very long lists of values.
        for (int from = 0; from < oldCodes.size(); from += 500) {
            batches.findByOldCodeIn(oldCodes.subList(from, Math.min(oldCodes.size(), from + 500))).stream()
                    .map(Batch::view)
                    .forEach(found::add);
        }
        return found;
    }

    /** Looks of a batch that stand, for comparing with records to be read in. */
    @Transactional(readOnly = true)
    public List<LookCommand> looksOf(String code) {
        return histories.commands(batch(code));
    }

    private Batch batch(String code) {
        return batches.findByCode(code).orElseThrow(() -> new Missing("no batch " + code));
    }

    private Protocol protocolFor(NewBatch wanted) {
        return guide.protocol(wanted.protocol())
                .orElseThrow(() -> new Problem("protocol", "That way is not in the guide; choose one from the list."));
    }

    private void refuseBadNumbers(NewBatch b) {
        if (b.taken() < 1 || b.taken() > MOST_PIECES) {
            throw new Problem(
                    "taken",
                    "%d cannot be taken; give 1 to %,d, or make two batches.".formatted(b.taken(), MOST_PIECES));
        }
        refuseFuture("takenOn", b.takenOn());
        if (b.stuckOn() == null) {
            return;
        }
        refuseFuture("stuckOn", b.stuckOn());
        if (b.stuckOn().isBefore(b.takenOn())) {
            throw new Problem("stuckOn", "They were taken on %s; give that day or a later one.".formatted(b.takenOn()));
        }
        if (b.stuck() < 1 || b.stuck() > b.taken()) {
            throw new Problem(
                    "stuck",
                    "%d of %d taken cannot be stuck; give 1 to %d.".formatted(b.stuck(), b.taken(), b.taken()));
        }
        if (b.rows() != null && b.columns() != null && b.rows() * b.columns() < b.stuck()) {
            throw new Problem(
                    "rows",
                    "A tray of %d × %d holds %d; give a larger tray, or stick fewer."
                            .formatted(b.rows(), b.columns(), b.rows() * b.columns()));
        }
    }

    private void refuseFuture(String field, LocalDate day) {
        if (day.isAfter(today.date())) {
            throw new Problem(field, "%s is still to come; give today or an earlier day.".formatted(day));
        }
    }

    private BatchCode nextCode(LocalDate day) {
        BatchCode first = BatchCode.of(day, 1);
        return BatchCode.of(day, batches.lastNumber(first.year(), first.week()) + 1);
    }

    private String personName() {
        return nursery.person().map(SignedIn::name).orElse("Vivarium");
    }
}
