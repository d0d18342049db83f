package garden.vivarium.app.batch;

import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.LossCause;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pieces that go into pots, and what becomes of them there. Each method is one sentence of the work and one transaction. */
@Service
public class Moves {

    private final PottingRepository pottings;
    private final Pots pots;
    private final Histories histories;
    private final GuideLookup lookup;
    private final BatchToChange toChange;
    private final Today today;

    Moves(
            PottingRepository pottings,
            Pots pots,
            Histories histories,
            GuideLookup lookup,
            BatchToChange toChange,
            Today today) {
        this.pottings = pottings;
        this.pots = pots;
        this.histories = histories;
        this.lookup = lookup;
        this.toChange = toChange;
        this.today = today;
    }

    /**
     * Takes young plants off pieces that stay and may give again, the largest first.
     *
     * @param spent how many of the pieces have given their last and go, 0 and up
     * @throws InvalidField if nothing stands ready, or more go than stand
     */
    @Transactional
    public BatchView separate(String code, LocalDate day, int youngPlants, int spent) {
        Batch batch = toChange.of(code);
        int able = batch.view().readyToMove();
        if (protocolOf(batch).flatMap(p -> p.course().inTurn()).isEmpty()) {
            throw new InvalidField("youngPlants", Messages.text("Batches.pieces.moved.whole.move", "code", code));
        }
        if (able == 0) {
            throw new InvalidField("youngPlants", Messages.text("Batches.nothing.stands.ready.log", "code", code));
        }
        if (youngPlants < (spent > 0 ? 0 : 1) || youngPlants > 50 * able) {
            throw new InvalidField(
                    "youngPlants",
                    Messages.text(
                            "Batches.young.plants.from.ready",
                            "youngPlants",
                            youngPlants,
                            "able",
                            able,
                            "ableThen",
                            50 * able));
        }
        if (spent < 0 || spent > able) {
            throw new InvalidField("spent", Messages.text("Batches.pieces.stand.ready.them", "able", able));
        }
        refuseBadMove(batch, day);
        Potting potting = new Potting(batch.getId(), day, spent, youngPlants);
        if (youngPlants == 0) {
            potting.settle(0, day);
        }
        pottings.save(potting);
        batch.moved(spent, youngPlants);
        histories.refresh(batch);
        return batch.view();
    }

    /**
     * Moves ready pieces on into pots.
     *
     * @throws InvalidField if more are moved than stand ready
     */
    @Transactional
    public BatchView move(String code, LocalDate day, int pieces, int youngPlants) {
        Batch batch = toChange.of(code);
        refuseMoreThanReady("pieces", batch, pieces);
        if (youngPlants < 1) {
            throw new InvalidField("youngPlants", Messages.text("Batches.say.how.many.young"));
        }
        refuseBadMove(batch, day);
        pottings.save(new Potting(batch.getId(), day, pieces, youngPlants));
        batch.moved(pieces, youngPlants);
        histories.refresh(batch);
        return batch.view();
    }

    /**
     * Pots of one size, as they are filled.
     *
     * @param pots how many, 1 and up
     * @param perPot pieces in each, 1 and up
     * @param stands what they are, and what follows
     */
    public record Filled(int pots, int perPot, PottedIn stands) {}

    /**
     * Pots ready pieces up into pots of one or several sizes; each size is a move of its own.
     *
     * @throws InvalidField if more are potted than stand ready
     */
    @Transactional
    public BatchView potUp(String code, LocalDate day, List<Filled> filled) {
        Batch batch = toChange.of(code);
        int pieces = filled.stream().mapToInt(f -> f.pots() * f.perPot()).sum();
        refuseMoreThanReady("pots", batch, pieces);
        refuseBadMove(batch, day);
        for (Filled f : filled) {
            Potting potting = new Potting(batch.getId(), day, f.pots() * f.perPot(), f.pots());
            potting.standsIn(f.stands());
            pottings.save(potting);
            batch.moved(f.pots() * f.perPot(), f.pots());
        }
        histories.refresh(batch);
        return batch.view();
    }

    /**
     * Puts ready pieces into a pot that grows already: the mother's, an older batch's, a basket. They are moved, and make no young plant
     * of their own.
     *
     * @param into which pot, in words
     * @throws InvalidField if more go than stand ready, or nobody says where
     */
    @Transactional
    public BatchView potInto(String code, LocalDate day, int pieces, String into) {
        Batch batch = toChange.of(code);
        refuseMoreThanReady("pieces", batch, pieces);
        if (into == null || into.isBlank()) {
            throw new InvalidField("into", Messages.text("Batches.into"));
        }
        refuseBadMove(batch, day);
        Potting potting = new Potting(batch.getId(), day, pieces, 0);
        potting.standsIn(new PottedIn(null, pieces, null, null, null, null, into.strip()));
        // There is no plant that could settle by itself: nobody is asked.
        potting.settle(0, day);
        pottings.save(potting);
        batch.moved(pieces, 0);
        histories.refresh(batch);
        return batch.view();
    }

    /** Says how many of the young plants of one day's move have settled. */
    @Transactional
    public BatchView settle(String code, UUID pottingId, LocalDate day, int settled) {
        Batch batch = toChange.of(code);
        pots.settle(batch, pots.of(batch, pottingId), day, settled);
        histories.refresh(batch);
        return batch.view();
    }

    /**
     * Young plants of one day's move were lost in their pots, before anybody said that they had settled or after. Ready stays
     * ready in the record of rooting; what had settled stays settled in that of settling.
     *
     * @throws InvalidField if more are lost than stand
     */
    @Transactional
    public BatchView lose(String code, UUID pottingId, int youngPlants, LossCause cause) {
        Batch batch = toChange.of(code);
        pots.lose(batch, pots.of(batch, pottingId), youngPlants, cause);
        histories.refresh(batch);
        return batch.view();
    }

    private static void refuseMoreThanReady(String field, Batch batch, int pieces) {
        int able = batch.view().readyToMove();
        if (pieces < 1 || pieces > able) {
            throw new InvalidField(
                    field, Messages.text("Batches.cannot.moved.stand.ready", "pieces", pieces, "able", able));
        }
    }

    private void refuseBadMove(Batch batch, LocalDate day) {
        today.refuseFuture("movedOn", day);
        if (day.isBefore(batch.stuckOn())) {
            throw new InvalidField(
                    "movedOn", Messages.text("Batches.was.stuck.give.later", "stuckOn", batch.stuckOn()));
        }
    }

    private Optional<Protocol> protocolOf(Batch batch) {
        return lookup.protocol(batch.done().protocol(), batch.done().protocolVersion(), batch.way());
    }
}
