package garden.vivarium.app.stock;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import java.time.LocalDate;
import java.util.UUID;

/** Pieces cut from a stock plant, or taken from a lot, on a day. */
@Entity
class Harvest extends NurseryRow {

    private UUID stockPlantId;
    private String sort;
    private LocalDate cutOn;
    private int pieces;
    private boolean hard;
    private UUID batchId;

    protected Harvest() {}

    Harvest(UUID stockPlantId, String sort, LocalDate cutOn, int pieces, boolean hard) {
        this.stockPlantId = stockPlantId;
        this.sort = sort;
        this.cutOn = cutOn;
        this.pieces = pieces;
        this.hard = hard;
    }

    /** Of which batch it became. */
    Harvest of(UUID batch) {
        batchId = batch;
        return this;
    }

    UUID batchId() {
        return batchId;
    }

    int pieces() {
        return pieces;
    }

    HarvestView view() {
        return new HarvestView(sort, cutOn, pieces, hard);
    }
}
