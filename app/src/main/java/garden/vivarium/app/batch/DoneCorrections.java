package garden.vivarium.app.batch;

import garden.vivarium.app.platform.CorrectedFact;
import garden.vivarium.app.platform.Corrections;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Corrects what was done with a batch: its looks and its moves. What it tells of its way is reckoned anew. */
@Service
public class DoneCorrections {

    private static final int LONGEST_FACT = 600;

    private final BatchRepository batches;
    private final CheckRepository checks;
    private final PottingRepository pottings;
    private final BatchSentRepository sent;
    private final CheckBook book;
    private final Histories histories;
    private final Corrections corrections;
    private final BatchToChange toChange;
    private final Says says;
    private final Today today;

    DoneCorrections(
            BatchRepository batches,
            CheckRepository checks,
            PottingRepository pottings,
            BatchSentRepository sent,
            CheckBook book,
            Histories histories,
            Corrections corrections,
            BatchToChange toChange,
            Says says,
            Today today) {
        this.batches = batches;
        this.checks = checks;
        this.pottings = pottings;
        this.sent = sent;
        this.book = book;
        this.histories = histories;
        this.corrections = corrections;
        this.toChange = toChange;
        this.says = says;
        this.today = today;
    }

    /** A look as it was written down. */
    @Transactional(readOnly = true)
    public LookCommand look(String code, UUID checkId) {
        Batch batch = batches.findByCode(code).orElseThrow(() -> new NotFound("no batch " + code));
        return written(batch, check(batch, checkId));
    }

    private LookCommand written(Batch batch, Check check) {
        return check.byCount()
                ? check.command()
                : LookCommand.ofPieces(
                        check.getId(),
                        check.lookedOn(),
                        check.look(),
                        histories.log(batch).of(check).stream()
                                .map(PieceReading::seen)
                                .toList(),
                        check.note(),
                        null);
    }

    private Check check(Batch batch, UUID checkId) {
        return checks.findById(checkId)
                .filter(c -> c.batchId().equals(batch.getId()) && !c.isWithdrawn())
                .orElseThrow(() -> new NotFound(Messages.text("DoneCorrections.no.such.look")));
    }

    /**
     * Corrects a look: the day, how it was looked and, of a look by count, the counts. The look as it was stays in the history,
     * struck through.
     *
     * @param counts as they really were; null for a look by piece
     * @param readings of a look by piece, what was read of pieces that were read wrong
     * @param why in a word, or null
     * @throws LookRefused if it cannot be true beside what is known
     * @throws InvalidField if it is dated ahead
     */
    @Transactional
    public BatchView correctLook(
            String code,
            UUID checkId,
            LocalDate day,
            LookKind kind,
            LookCommand.Counted counts,
            Map<Integer, PieceState> readings,
            String note,
            String why) {
        Batch batch = toChange.of(code);
        Check check = check(batch, checkId);
        if (sent.existsByCheckId(checkId)) {
            throw new InvalidField("lookedOn", Messages.text("Departures.look.of"));
        }
        today.refuseFuture("lookedOn", day);
        LookCommand was = written(batch, check);
        LookCommand now = was.counts() == null
                ? LookCommand.ofPieces(
                        UUID.randomUUID(),
                        day,
                        kind,
                        was.pieces().stream()
                                .map(p -> kind == was.look() ? p : p.by(kind))
                                .map(p -> readings.getOrDefault(p.piece(), p.state()) == p.state()
                                        ? p
                                        : p.as(readings.get(p.piece())))
                                .toList(),
                        note,
                        null)
                : LookCommand.ofCounts(UUID.randomUUID(), day, kind, counts, note, null);
        String which = Messages.text("DoneCorrections.look", "day", says.day(was.lookedOn()));
        int changed = corrections.keep(
                batch.getId(),
                List.of(
                        fact(which, "day", says.day(was.lookedOn()), says.day(day)),
                        fact(which, "how", Messages.name(was.look()), Messages.name(kind)),
                        fact(which, "counts", words(was.counts()), words(now.counts())),
                        fact(which, "pieces", differing(was, now), differing(now, was)),
                        fact(which, "note", was.note(), note)),
                why);
        if (changed > 0) {
            book.withdraw(check);
            book.write(batch, List.of(now));
            histories.refresh(batch);
        }
        return batch.view();
    }

    /** The readings of one look that the other has otherwise: "3 ready, 7 nothing yet". */
    private static String differing(LookCommand one, LookCommand other) {
        Map<Integer, PieceState> others = new HashMap<>();
        other.pieces().forEach(p -> others.put(p.piece(), p.state()));
        String all = one.pieces().stream()
                .filter(p -> others.get(p.piece()) != p.state())
                .sorted(Comparator.comparingInt(LookCommand.Seen::piece))
                .map(p -> p.piece() + " " + p.state().code())
                .collect(Collectors.joining(", "));
        return all.substring(0, Math.min(LONGEST_FACT, all.length()));
    }

    private static CorrectedFact fact(String which, String what, String was, String now) {
        String name = which + ", " + what;
        return new CorrectedFact(name.substring(0, Math.min(40, name.length())), was, now);
    }

    private static String words(LookCommand.Counted c) {
        return c == null
                ? ""
                : Messages.text(
                        "DoneCorrections.counts",
                        "sign",
                        c.firstSign() == null ? -1 : c.firstSign(),
                        "ready",
                        c.ready(),
                        "lost",
                        c.lost(),
                        "after",
                        c.lostReady() == null ? 0 : c.lostReady(),
                        "sent",
                        c.sent());
    }

    /**
     * Corrects a move, or takes it back with 0 pieces.
     *
     * @param pieces that were really moved, 0 and up
     * @param settled young plants that had settled; null where nobody has looked
     * @param why in a word, or null
     * @throws InvalidField naming the field, if day or numbers cannot be
     */
    @Transactional
    public BatchView correctMove(
            String code, UUID pottingId, LocalDate day, int pieces, int youngPlants, Integer settled, String why) {
        return correctMove(code, pottingId, day, pieces, youngPlants, settled, was -> was, why);
    }

    /**
     * The same, and what they stand in.
     *
     * @param stands from what was written down of their pots to what is so; waits that it leaves go with the day of the move
     */
    @Transactional
    public BatchView correctMove(
            String code,
            UUID pottingId,
            LocalDate day,
            int pieces,
            int youngPlants,
            Integer settled,
            UnaryOperator<PottedIn> stands,
            String why) {
        Batch batch = toChange.of(code);
        Potting potting = pottings.findById(pottingId)
                .filter(p -> !p.isAway())
                .filter(p -> p.view().batchId().equals(batch.getId()))
                .orElseThrow(() -> new NotFound(Messages.text("DoneCorrections.no.such.move")));
        PottingView was = potting.view();
        boolean takenBack = pieces == 0 && youngPlants == 0;
        refuse(batch, was, day, pieces, youngPlants, settled);
        String which = Messages.text("DoneCorrections.move", "day", says.day(was.movedOn()));
        corrections.keep(
                batch.getId(),
                List.of(
                        fact(which, "day", says.day(was.movedOn()), says.day(day)),
                        fact(which, "pieces", String.valueOf(was.pieces()), String.valueOf(pieces)),
                        fact(which, "young plants", String.valueOf(was.youngPlants()), String.valueOf(youngPlants)),
                        fact(which, "settled", text(was.settled()), text(settled))),
                why);
        int stood = was.settled() == null ? 0 : was.settled() - was.lost().settled();
        int stand = settled == null || takenBack ? 0 : settled - was.lost().settled();
        batch.correctMoves(pieces - was.pieces(), youngPlants - was.youngPlants(), stand - stood);
        if (takenBack) {
            pottings.delete(potting);
        } else {
            potting.correct(day, pieces, youngPlants, settled);
            keepPots(batch, which, potting, was.stands(), stands.apply(was.stands()), why);
        }
        pottings.flush();
        histories.refresh(batch);
        return batch.view();
    }

    private void keepPots(Batch batch, String which, Potting potting, PottedIn was, PottedIn now, String why) {
        if (!now.equals(was)) {
            PottedIn moved = potting.view().stands();
            // A wait that nobody typed anew goes with the day of the move.
            potting.standsIn(now.waiting(
                    Objects.equals(now.waterOn(), was.waterOn()) ? moved.waterOn() : now.waterOn(),
                    Objects.equals(now.feedOn(), was.feedOn()) ? moved.feedOn() : now.feedOn()));
            corrections.keep(
                    batch.getId(),
                    List.of(
                            fact(which, "pot, mm", text(was.acrossMm()), text(now.acrossMm())),
                            fact(which, "mix", words(was.mix()), words(now.mix())),
                            fact(which, "first water", words(was.waterOn()), words(now.waterOn())),
                            fact(which, "first feed", words(was.feedOn()), words(now.feedOn())),
                            fact(which, "remark", words(was.remark()), words(now.remark()))),
                    why);
        }
    }

    private static String words(Object said) {
        return said == null ? "" : said.toString();
    }

    private static String text(Integer number) {
        return number == null ? "" : number.toString();
    }

    private void refuse(Batch batch, PottingView was, LocalDate day, int pieces, int youngPlants, Integer settled) {
        today.refuseFuture("movedOn", day);
        if (day.isBefore(batch.stuckOn())) {
            throw new InvalidField(
                    "movedOn", Messages.text("Batches.was.stuck.give.later", "stuckOn", batch.stuckOn()));
        }
        int able = was.pieces() + batch.view().readyToMove();
        if (pieces < 0 || pieces > able) {
            throw new InvalidField(
                    "pieces", Messages.text("Batches.cannot.moved.stand.ready", "pieces", pieces, "able", able));
        }
        if (youngPlants < 1 && pieces > 0) {
            throw new InvalidField("youngPlants", Messages.text("Batches.say.how.many.young"));
        }
        int lost = was.lost().all();
        if (youngPlants > 0
                && youngPlants
                        < lost + (settled == null ? 0 : settled - was.lost().settled())) {
            throw new InvalidField("youngPlants", Messages.text("DoneCorrections.fewer.than.lost", "lost", lost));
        }
        if (settled != null
                && (settled < was.lost().settled()
                        || settled > youngPlants - was.lost().unsettled())) {
            throw new InvalidField(
                    "settled",
                    Messages.text(
                            "Batches.young.plants.were.set",
                            "youngPlants",
                            youngPlants - was.lost().unsettled()));
        }
    }
}
