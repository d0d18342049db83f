package garden.vivarium.app.batch;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sends pieces and young plants away. */
@Service
public class Departures {

    private static final int LONGEST = 120;

    private final BatchRepository batches;
    private final PottingRepository pottings;
    private final BatchSentRepository sent;
    private final Batches looks;
    private final Histories histories;
    private final CurrentNursery nursery;
    private final Seen seen;
    private final Today today;

    Departures(
            BatchRepository batches,
            PottingRepository pottings,
            BatchSentRepository sent,
            Batches looks,
            Histories histories,
            CurrentNursery nursery,
            Seen seen,
            Today today) {
        this.batches = batches;
        this.pottings = pottings;
        this.sent = sent;
        this.looks = looks;
        this.histories = histories;
        this.nursery = nursery;
        this.seen = seen;
        this.today = today;
    }

    /** What was sent away of a batch, the last first. */
    @Transactional(readOnly = true)
    public List<SentView> of(UUID batch) {
        return sent.findByBatchIdOrderBySentOnDesc(batch).stream()
                .map(BatchSent::view)
                .toList();
    }

    /**
     * Sends some away. What is not rooted yet leaves unjudged; what is rooted has rooted; of young plants in pots those that were
     * moved first go first.
     *
     * @throws InvalidField naming the field, if more go than stand in that state
     */
    @Transactional
    public BatchView send(String code, LocalDate day, int pieces, SentState state, String toWhom) {
        Batch batch = batches.findToChange(code).orElseThrow(() -> new NotFound("no batch " + code));
        seen.check(batch.mark(), batch.changes(), () -> batch.view().stands());
        today.refuseFuture("sentOn", day);
        if (batch.stuckOn() == null || day.isBefore(batch.stuckOn())) {
            throw new InvalidField("sentOn", Messages.text("Departures.not.stuck", "code", code));
        }
        int able = able(batch, state);
        if (pieces < 1 || pieces > able) {
            throw new InvalidField("pieces", Messages.text("Departures.stand", "able", able, "state", state.words()));
        }
        switch (state) {
            case UNROOTED -> looks.look(code, unjudged(batch.view(), pieces, day));
            case READY -> {
                pottings.save(Potting.away(batch.getId(), day, pieces));
                batch.sentReady(pieces);
            }
            case POTTED -> sendPotted(batch, pieces, day);
        }
        sent.save(new BatchSent(
                batch.getId(),
                day,
                pieces,
                state,
                toWhom == null
                        ? ""
                        : toWhom.strip()
                                .substring(0, Math.min(LONGEST, toWhom.strip().length())),
                nursery.person().map(SignedIn::name).orElse("Vivarium")));
        histories.refresh(batch);
        return batch.view();
    }

    private int able(Batch batch, SentState state) {
        return switch (state) {
            case UNROOTED -> batch.view().counts().pending();
            case READY -> batch.view().readyToMove();
            case POTTED -> pottings(batch).stream().mapToInt(Potting::standing).sum();
        };
    }

    private List<Potting> pottings(Batch batch) {
        return pottings.findByBatchIdInOrderByMovedOn(List.of(batch.getId()));
    }

    private static LookCommand unjudged(BatchView b, int pieces, LocalDate day) {
        Counts c = b.counts();
        Integer firstSign = c.firstSign() > 0 ? c.firstSign() : null;
        return LookCommand.ofCounts(
                UUID.randomUUID(),
                day,
                LookKind.ABOVE,
                new LookCommand.Counted(firstSign, c.ready(), c.lost(), c.sent() + pieces, null),
                Messages.text("Departures.note", "pieces", pieces),
                null);
    }

    private void sendPotted(Batch batch, int pieces, LocalDate day) {
        int left = pieces;
        for (Potting potting : pottings(batch)) {
            int of = Math.min(left, potting.standing());
            if (of == 0) {
                continue;
            }
            boolean settled = potting.view().settled() != null;
            potting.send(of);
            left -= of;
            if (settled) {
                batch.settled(-of);
            } else if (potting.standing() == 0) {
                // Nothing is left that could settle: nobody need be asked.
                potting.settle(0, day);
            }
        }
        batch.touched();
    }
}
