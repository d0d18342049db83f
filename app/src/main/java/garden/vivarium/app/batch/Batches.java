package garden.vivarium.app.batch;

import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.Clash;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.BatchHistory;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.PieceView;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Milestone;
import garden.vivarium.core.watch.GiveUp;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is done with batches. Each method is one sentence of the work and one transaction. */
@Service
public class Batches {

    private final BatchRepository batches;
    private final CheckRepository checks;
    private final BatchSentRepository sent;
    private final BatchMaker maker;
    private final CheckBook book;
    private final Histories histories;
    private final Prognosis prognosis;
    private final GuideLookup lookup;
    private final Stages stages;
    private final Protocols protocols;
    private final BatchToChange toChange;
    private final Today today;

    Batches(
            BatchRepository batches,
            CheckRepository checks,
            BatchSentRepository sent,
            BatchMaker maker,
            CheckBook book,
            Histories histories,
            Prognosis prognosis,
            GuideLookup lookup,
            Stages stages,
            Protocols protocols,
            BatchToChange toChange,
            Today today) {
        this.batches = batches;
        this.checks = checks;
        this.sent = sent;
        this.maker = maker;
        this.book = book;
        this.histories = histories;
        this.prognosis = prognosis;
        this.lookup = lookup;
        this.stages = stages;
        this.protocols = protocols;
        this.toChange = toChange;
        this.today = today;
    }

    /**
     * Makes a batch: stuck at once, or taken and left to dry.
     *
     * @throws InvalidField naming the field, if days or counts cannot be
     */
    @Transactional
    public BatchView make(NewBatch wanted) {
        Protocol protocol = protocolFor(wanted);
        protocols.keep(protocol);
        Batch batch = maker.make(
                wanted,
                prognosis.outlook(protocol, wanted.plant().grown()),
                protocol.clockStage().isPresent());
        if (wanted.taking().stuckOn() != null) {
            histories.refresh(batch);
        }
        return batch.view();
    }

    /**
     * The wounds have dried: sticks what came through.
     *
     * @throws InvalidField if more are stuck than were taken, or before they were
     */
    @Transactional
    public BatchView stick(String code, LocalDate day, int pieces) {
        Batch batch = toChange.of(code);
        if (batch.stuckOn() != null) {
            throw new InvalidField(
                    "stuck", Messages.text("Batches.stuck.already", "code", code, "stuckOn", batch.stuckOn()));
        }
        if (pieces < 1 || pieces > batch.taken()) {
            throw new InvalidField(
                    "stuck",
                    Messages.text("Batches.taken.cannot.stuck.give", "pieces", pieces, "taken", batch.taken()));
        }
        if (day.isBefore(batch.takenOn())) {
            throw new InvalidField(
                    "stuckOn", Messages.text("BatchMaker.they.were.taken.give", "takenOn", batch.takenOn()));
        }
        today.refuseFuture("stuckOn", day);
        batch.stick(day, pieces, sleepsFirst(batch));
        histories.refresh(batch);
        return batch.view();
    }

    /**
     * Writes down a look. The same client id twice is one look.
     *
     * @throws LookRefused if it cannot be true beside what is known
     * @throws InvalidField if it is dated ahead
     * @throws Clash if the batch changed since its writer saw it
     */
    @Transactional
    public BatchView look(String code, LookCommand look) {
        Batch batch = toChange.of(code);
        Optional<Check> same = checks.findByClientId(look.clientId());
        if (same.isPresent()) {
            if (!same.get().batchId().equals(batch.getId())) {
                throw new InvalidField("clientId", Messages.text("Batches.look.was.written.down"));
            }
            return batch.view();
        }
        if (batch.stuckOn() == null) {
            throw new InvalidField("lookedOn", code + " is not stuck yet; stick it first.");
        }
        today.refuseFuture("lookedOn", look.lookedOn());
        if (look.knownChanges() != null && look.knownChanges() != batch.changes()) {
            throw new Clash(batch.view().seen(), batch.changes(), batch.view().stands());
        }
        if (batch.view().isAsleep() && saysAwake(look)) {
            // What has a root or a shoot has woken: nobody need say so first.
            stages.say(batch, clockStage(batch).orElseThrow().key(), stages.wokeBefore(batch, look.lookedOn()), true);
        }
        book.write(batch, List.of(look));
        histories.refresh(batch);
        return batch.view();
    }

    private static boolean saysAwake(LookCommand look) {
        return look.counts() == null
                ? look.pieces().stream()
                        .anyMatch(p -> p.state() == PieceState.FIRST_SIGN || p.state() == PieceState.READY)
                : look.counts().ready() > 0
                        || (look.counts().firstSign() != null && look.counts().firstSign() > 0);
    }

    private boolean sleepsFirst(Batch batch) {
        return clockStage(batch).isPresent();
    }

    /** Whether days are counted from a stage on. */
    boolean startsClock(Batch batch, String stage) {
        return clockStage(batch).filter(s -> s.key().equals(stage)).isPresent();
    }

    private Optional<Protocol.Stage> clockStage(Batch batch) {
        return batch.done().protocol() == null
                ? Optional.empty()
                : protocolOf(batch).flatMap(Protocol::clockStage);
    }

    /**
     * Says of the stage that comes next that it was done, or is not to be seen yet.
     *
     * @throws InvalidField if another stage comes next, or the day cannot be
     */
    @Transactional
    public BatchView say(String code, String stage, LocalDate day, boolean done) {
        Batch batch = toChange.of(code);
        if (batch.stuckOn() == null) {
            throw new InvalidField("stage", code + " is not stuck yet; stick it first.");
        }
        boolean slept = batch.view().isAsleep();
        stages.say(batch, stage, day, done);
        if (slept && !batch.view().isAsleep()) {
            histories.refresh(batch);
        }
        return batch.view();
    }

    /** Takes a check back. It stays in the history, struck through. */
    @Transactional
    public BatchView takeBack(String code, UUID checkId) {
        Batch batch = toChange.of(code);
        Check check = checks.findById(checkId)
                .filter(c -> c.batchId().equals(batch.getId()))
                .orElseThrow(() -> new NotFound(Messages.text("Batches.no.such.check")));
        if (sent.existsByCheckId(checkId)) {
            throw new InvalidField("pieces", Messages.text("Departures.look.of"));
        }
        if (!check.isWithdrawn()) {
            book.withdraw(check);
            histories.refresh(batch);
        }
        return batch.view();
    }

    /**
     * Gives up what still stands with nothing, as stalled: those pieces that hardly ever come now, by how the batch has gone, or
     * all that wait where that can be said of none.
     */
    @Transactional
    public BatchView giveUp(String code, LocalDate day) {
        Batch batch = toChange.of(code);
        Counts counts = batch.view().counts();
        if (counts.pending() == 0) {
            return batch.view();
        }
        BatchHistory history = histories.replay(batch, histories.log(batch));
        GiveUp proposed = prognosis
                .hopeless(batch.view(), history.tallies(Milestone.READY))
                .orElse(null);
        List<PieceView> stalling = history.pieces().stream()
                .filter(p -> !p.state().isEnd() && !p.wasReady())
                .filter(p -> proposed == null || proposed.isProposed(p.knownNotReadyOn()))
                .toList();
        // Where counts were given to anonymous pieces, nobody knows which ones still stand: then the rest goes by
        // count.
        boolean known = batch.view().isTray() && history.pieces().stream().noneMatch(PieceView::byCount);
        return look(
                code, known ? StalledLook.ofPieces(stalling, day) : StalledLook.ofCount(counts, stalling.size(), day));
    }

    /** A look that found nothing changed: the counts as they were. */
    @Transactional
    public BatchView lookUnchanged(String code, LocalDate day) {
        Batch batch = toChange.of(code);
        Counts counts = batch.view().counts();
        Integer firstSign = histories.signs(batch).firstSign().isPresent() ? counts.firstSign() : null;
        return look(
                code,
                LookCommand.ofCounts(
                        UUID.randomUUID(),
                        day,
                        protocolOf(batch)
                                .map(p -> p.course().looks().kind())
                                .orElse(LookKind.LIFTED)
                                .in(batch.view().way().medium()),
                        new LookCommand.Counted(firstSign, counts.ready(), counts.lost(), counts.sent(), null),
                        "nothing changed",
                        null));
    }

    @Transactional(readOnly = true)
    public BatchView find(String code) {
        return batches.findByCode(code).map(Batch::view).orElseThrow(() -> new NotFound("no batch " + code));
    }

    private Optional<Protocol> protocolOf(Batch batch) {
        return lookup.protocol(batch.done().protocol(), batch.done().protocolVersion(), batch.way());
    }

    private Protocol protocolFor(NewBatch wanted) {
        return protocols
                .version(
                        wanted.done().protocol(),
                        wanted.done().protocolVersion() == null
                                ? 1
                                : wanted.done().protocolVersion())
                .orElseThrow(() -> new InvalidField("protocol", Messages.text("Batches.way.not.guide.choose")));
    }
}
