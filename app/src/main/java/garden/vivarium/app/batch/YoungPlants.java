package garden.vivarium.app.batch;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.looks.LossCause;
import java.time.LocalDate;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What looks at young plants change in a batch: losses, and that a move has settled. */
@Service
public class YoungPlants {

    private final BatchToChange toChange;
    private final Pots pots;
    private final Histories histories;

    YoungPlants(BatchToChange toChange, Pots pots, Histories histories) {
        this.toChange = toChange;
        this.pots = pots;
        this.histories = histories;
    }

    /**
     * What a look changed.
     *
     * @param lostSettled whether what was lost had settled before
     * @param settles whether all that stand are settled now by this look
     */
    public record Changed(boolean lostSettled, boolean settles) {}

    /**
     * A look at the young plants of a move: so many were lost, and whether all others hold.
     *
     * @param cause of what, or null
     * @throws InvalidField if more were lost than stood
     */
    @Transactional
    public Changed look(String code, UUID move, LocalDate day, int lost, LossCause cause, boolean othersHold) {
        Batch batch = toChange.of(code);
        Potting potting = pots.of(batch, move);
        boolean hadSettled = potting.view().settled() != null;
        if (lost > 0) {
            pots.lose(batch, potting, lost, cause);
        }
        boolean settles = othersHold && potting.view().settled() == null && potting.standing() > 0;
        if (settles) {
            pots.settle(batch, potting, day, potting.view().maySettle());
        }
        batch.touched();
        histories.refresh(batch);
        return new Changed(hadSettled, settles);
    }

    /**
     * A look was not so: what it lost stands again, and with {@code unsettle} nobody has said yet that the move settled.
     *
     * @param lostSettled whether what it lost had settled before
     * @throws InvalidField if settled plants have left since: their leaving is taken back first
     */
    @Transactional
    public void takeBack(String code, UUID move, int lost, boolean lostSettled, boolean unsettle) {
        Batch batch = toChange.of(code);
        Potting potting = pots.of(batch, move);
        if (unsettle && potting.view().lost().sentSettled() > 0) {
            throw new InvalidField("look", Messages.text("YoungPlants.left"));
        }
        if (unsettle) {
            pots.unsettle(batch, potting);
        }
        if (lost > 0) {
            pots.found(batch, potting, lost, lostSettled && !unsettle);
        }
        batch.touched();
        histories.refresh(batch);
    }
}
