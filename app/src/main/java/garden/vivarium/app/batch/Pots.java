package garden.vivarium.app.batch;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.looks.LossCause;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The young plants of one move: that they settled, and that they were lost. */
@Component
class Pots {

    private final PottingRepository pottings;
    private final Today today;

    Pots(PottingRepository pottings, Today today) {
        this.pottings = pottings;
        this.today = today;
    }

    /** The move of a batch. */
    Potting of(Batch batch, UUID id) {
        return pottings.findById(id)
                .filter(p -> p.view().batchId().equals(batch.getId()))
                .orElseThrow(() -> new NotFound(Messages.text("Pots.no.such.move")));
    }

    /** So many have settled; said once. */
    void settle(Batch batch, Potting potting, LocalDate day, int settled) {
        today.refuseFuture("settledOn", day);
        if (day.isBefore(potting.view().movedOn())) {
            throw new InvalidField(
                    "settledOn",
                    Messages.text(
                            "Batches.settled.before.moved",
                            "day",
                            potting.view().movedOn()));
        }
        if (settled < 0 || settled > potting.view().maySettle()) {
            throw new InvalidField(
                    "settled",
                    Messages.text(
                            "Batches.young.plants.were.set",
                            "youngPlants",
                            potting.view().maySettle()));
        }
        if (potting.view().settled() == null) {
            potting.settle(settled, day);
            batch.settled(settled);
        }
    }

    /** So many were lost in their pots, before anybody said that they had settled or after. */
    void lose(Batch batch, Potting potting, int youngPlants, LossCause cause) {
        if (youngPlants < 1 || youngPlants > potting.standing()) {
            throw new InvalidField("youngPlants", Messages.text("Batches.lose.stand", "standing", potting.standing()));
        }
        boolean settled = potting.view().settled() != null;
        potting.lose(youngPlants, cause);
        if (settled) {
            batch.settled(-youngPlants);
        } else if (potting.standing() == 0) {
            // Nothing is left that could settle: nobody need be asked.
            potting.settle(0, today.date());
        }
    }

    /** They were not lost after all; {@code wasSettled} where they had settled before. */
    void found(Batch batch, Potting potting, int youngPlants, boolean wasSettled) {
        boolean nothingLeft = potting.view().settled() != null && potting.view().settled() == 0;
        potting.found(youngPlants, wasSettled);
        if (wasSettled) {
            batch.settled(youngPlants);
        } else if (nothingLeft) {
            potting.unsettle();
        }
    }

    /** Nobody has said yet that they settled. */
    void unsettle(Batch batch, Potting potting) {
        if (potting.view().settled() != null) {
            batch.settled(-potting.standing());
            potting.unsettle();
        }
    }
}
