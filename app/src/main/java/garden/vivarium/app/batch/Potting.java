package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import java.time.LocalDate;
import java.util.UUID;

/** Ready pieces moved on to pots on one day, and how many of those young plants settled. */
@Entity
class Potting extends NurseryRow {

    private UUID batchId;
    private LocalDate movedOn;
    private int pieces;
    private int youngPlants;
    private Integer settled;
    private LocalDate settledOn;

    protected Potting() {}

    Potting(UUID batchId, LocalDate movedOn, int pieces, int youngPlants) {
        this.batchId = batchId;
        this.movedOn = movedOn;
        this.pieces = pieces;
        this.youngPlants = youngPlants;
    }

    void settle(int howMany, LocalDate day) {
        settled = howMany;
        settledOn = day;
    }

    /** It was otherwise than was written down; {@code howMany} settled is null where nobody has looked. */
    void correct(LocalDate day, int moved, int plants, Integer howMany) {
        movedOn = day;
        pieces = moved;
        youngPlants = plants;
        settledOn = howMany == null ? null : settledOn == null || settledOn.isBefore(day) ? day : settledOn;
        settled = howMany;
    }

    PottingView view() {
        return new PottingView(getId(), batchId, movedOn, pieces, youngPlants, settled, settledOn);
    }
}
