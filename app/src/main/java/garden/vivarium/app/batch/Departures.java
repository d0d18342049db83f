package garden.vivarium.app.batch;

import garden.vivarium.app.platform.CorrectedFact;
import garden.vivarium.app.platform.Corrections;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sends pieces and young plants away, and hears when it was otherwise. */
@Service
public class Departures {

    private static final int LONGEST = 120;

    private final BatchToChange toChange;
    private final PottingRepository pottings;
    private final BatchSentRepository sent;
    private final CheckBook book;
    private final Histories histories;
    private final Corrections corrections;
    private final CurrentNursery nursery;
    private final Says says;
    private final Today today;

    Departures(
            BatchToChange toChange,
            PottingRepository pottings,
            BatchSentRepository sent,
            CheckBook book,
            Histories histories,
            Corrections corrections,
            CurrentNursery nursery,
            Says says,
            Today today) {
        this.toChange = toChange;
        this.pottings = pottings;
        this.sent = sent;
        this.book = book;
        this.histories = histories;
        this.corrections = corrections;
        this.nursery = nursery;
        this.says = says;
        this.today = today;
    }

    /** What was sent away of a batch, the last first. */
    @Transactional(readOnly = true)
    public List<SentView> of(UUID batch) {
        return sent.findByBatchIdOrderBySentOnDescNotedAtDesc(batch).stream()
                .map(BatchSent::view)
                .toList();
    }

    /**
     * What left: when, how many, how far they had come, and to whom.
     *
     * @param toWhom may be null
     * @param fate how
     */
    public record Departure(LocalDate on, int pieces, SentState state, String toWhom, Fate fate) {

        /** Sent away, without more being said. */
        public Departure(LocalDate on, int pieces, SentState state, String toWhom) {
            this(on, pieces, state, toWhom, Fate.SENT);
        }

        public Departure {
            toWhom = toWhom == null
                    ? ""
                    : toWhom.strip()
                            .substring(0, Math.min(LONGEST, toWhom.strip().length()));
        }
    }

    /**
     * Sends some away. What is not rooted yet leaves unjudged; what is rooted has rooted; of young plants in pots those that were
     * moved first go first.
     *
     * @throws InvalidField naming the field, if more go than stand in that state
     */
    @Transactional
    public BatchView send(String code, Departure leaving) {
        Batch batch = toChange.of(code);
        send(batch, leaving);
        histories.refresh(batch);
        return batch.view();
    }

    /**
     * It was otherwise; with 0 pieces it is taken back altogether. Later looks by count, which count what had left, are corrected
     * with it.
     *
     * @param why in a word, or null
     * @throws InvalidField naming the field, if it cannot be
     * @throws LookRefused naming the look that could not be true then
     */
    @Transactional
    public BatchView correct(String code, UUID id, Departure really, String why) {
        Batch batch = toChange.of(code);
        BatchSent entry = sent.findByBatchIdOrderBySentOnDescNotedAtDesc(batch.getId()).stream()
                .filter(s -> s.getId().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound(Messages.text("Departures.no.such.departure")));
        SentView was = entry.view();
        takeBack(batch, entry);
        histories.refresh(batch);
        if (really.pieces() > 0) {
            send(batch, really);
            histories.refresh(batch);
        }
        String which = Messages.text("Departures.leaving", "day", says.day(was.on()));
        corrections.keep(
                batch.getId(),
                List.of(
                        fact(which, "day", says.day(was.on()), says.day(really.on())),
                        fact(which, "pieces", String.valueOf(was.pieces()), String.valueOf(really.pieces())),
                        fact(which, "state", was.state().words(), really.state().words()),
                        fact(which, "to", was.toWhom(), really.toWhom()),
                        fact(which, "how", was.fate().words(), really.fate().words())),
                why);
        return batch.view();
    }

    private static CorrectedFact fact(String which, String what, String was, String now) {
        return new CorrectedFact(which + ", " + what, was, now);
    }

    private void send(Batch batch, Departure leaving) {
        today.refuseFuture("sentOn", leaving.on());
        if (batch.stuckOn() == null || leaving.on().isBefore(batch.stuckOn())) {
            throw new InvalidField("sentOn", Messages.text("Departures.not.stuck", "code", batch.code()));
        }
        int able = able(batch, leaving);
        if (leaving.pieces() < 1 || leaving.pieces() > able) {
            throw new InvalidField(
                    "pieces",
                    Messages.text(
                            "Departures.stand",
                            "able",
                            able,
                            "state",
                            leaving.state().words()));
        }
        switch (leaving.state()) {
            case UNROOTED -> sendUnjudged(batch, leaving);
            case READY -> sendReady(batch, leaving);
            case POTTED -> sendPotted(batch, leaving);
        }
    }

    private int able(Batch batch, Departure leaving) {
        return switch (leaving.state()) {
            case UNROOTED -> batch.view().counts().pending();
            case READY -> batch.view().readyToMove();
            case POTTED ->
                pottings(batch, leaving.on()).stream()
                        .mapToInt(Potting::standing)
                        .sum();
        };
    }

    private List<Potting> pottings(Batch batch, LocalDate day) {
        return pottings.findByBatchIdInOrderByMovedOn(List.of(batch.getId())).stream()
                .filter(p -> !p.view().movedOn().isAfter(day))
                .toList();
    }

    private void sendUnjudged(Batch batch, Departure leaving) {
        Counts then = histories.countsOn(batch, leaving.on());
        LookCommand look = LookCommand.ofCounts(
                UUID.randomUUID(),
                leaving.on(),
                LookKind.ABOVE,
                new LookCommand.Counted(
                        then.firstSign() > 0 ? then.firstSign() : null,
                        then.ready(),
                        then.lost(),
                        then.sent() + leaving.pieces(),
                        null),
                Messages.text("Departures.note", "pieces", leaving.pieces()),
                null);
        List<Check> standing = histories.log(batch).standing();
        BatchSent entry = entry(batch, leaving, leaving.pieces());
        entry.saidBy(book.write(batch, List.of(look)).get(0));
        sent.save(entry);
        recount(batch, standing.stream().filter(c -> c.lookedOn().isAfter(leaving.on())), leaving.pieces());
    }

    /** Looks by count say how many had left in all by then: so many more, or fewer. */
    private void recount(Batch batch, Stream<Check> later, int more) {
        List<BatchSent> entries = sent.findByBatchIdOrderBySentOnDescNotedAtDesc(batch.getId());
        later.filter(Check::byCount).toList().forEach(check -> {
            LookCommand c = check.command();
            LookCommand.Counted n = c.counts();
            LookCommand.Counted now = n.withSent(Math.max(0, n.sent() + more));
            book.withdraw(check);
            Check instead = book.write(
                            batch,
                            List.of(LookCommand.ofCounts(
                                    UUID.randomUUID(), c.lookedOn(), c.look(), now, c.note(), null)))
                    .get(0);
            entries.stream().filter(s -> check.getId().equals(s.checkId())).forEach(s -> s.saidBy(instead));
        });
    }

    private void sendReady(Batch batch, Departure leaving) {
        Potting away = pottings.save(Potting.away(batch.getId(), leaving.on(), leaving.pieces()));
        batch.sentReady(leaving.pieces());
        BatchSent entry = entry(batch, leaving, leaving.pieces());
        entry.of(away, false, false);
        sent.save(entry);
    }

    private void sendPotted(Batch batch, Departure leaving) {
        int left = leaving.pieces();
        for (Potting potting : pottings(batch, leaving.on())) {
            int of = Math.min(left, potting.standing());
            if (of == 0) {
                continue;
            }
            boolean settled = potting.view().settled() != null;
            potting.send(of);
            left -= of;
            boolean closes = !settled && potting.standing() == 0;
            if (settled) {
                batch.settled(-of);
            } else if (closes) {
                // Nothing is left that could settle: nobody need be asked.
                potting.settle(0, leaving.on());
            }
            BatchSent entry = entry(batch, leaving, of);
            entry.of(potting, settled, closes);
            sent.save(entry);
        }
        batch.touched();
    }

    private BatchSent entry(Batch batch, Departure leaving, int pieces) {
        BatchSent entry = new BatchSent(
                batch.getId(),
                leaving.on(),
                pieces,
                leaving.state(),
                leaving.toWhom(),
                nursery.person().map(SignedIn::name).orElse("Vivarium"),
                today.now());
        entry.left(leaving.fate());
        return entry;
    }

    private void takeBack(Batch batch, BatchSent entry) {
        if (entry.state() == SentState.UNROOTED) {
            UUID look = known(entry.checkId());
            List<Check> standing = histories.log(batch).standing();
            standing.stream().filter(c -> c.getId().equals(look)).forEach(book::withdraw);
            recount(
                    batch,
                    standing.stream().dropWhile(c -> !c.getId().equals(look)).skip(1),
                    -entry.pieces());
        } else {
            Potting move = pottings.findById(known(entry.pottingId()))
                    .orElseThrow(() -> new NotFound(Messages.text("Departures.no.such.move")));
            if (entry.state() == SentState.READY) {
                pottings.delete(move);
                batch.sentReady(-entry.pieces());
            } else {
                move.unsend(entry.pieces(), entry.isOfSettled(), entry.hasClosedMove());
                if (entry.isOfSettled()) {
                    batch.settled(entry.pieces());
                }
            }
            pottings.flush();
        }
        batch.touched();
        sent.delete(entry);
    }

    private static UUID known(UUID part) {
        if (part == null) {
            throw new InvalidField("pieces", Messages.text("Departures.from.before"));
        }
        return part;
    }
}
