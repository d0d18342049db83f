package garden.vivarium.app.benchmap;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.measure.BenchLayout.Spot;
import jakarta.persistence.Entity;
import java.util.UUID;

/** Where somebody put a vessel on its bench, in cm from the left back corner. */
@Entity
class VesselSpot extends NurseryRow {

    private UUID batchId;
    private UUID placeId;
    private double x;
    private double y;

    protected VesselSpot() {}

    VesselSpot(UUID batchId) {
        this.batchId = batchId;
    }

    void stands(UUID place, Spot spot) {
        placeId = place;
        x = spot.x();
        y = spot.y();
    }

    UUID batchId() {
        return batchId;
    }

    UUID placeId() {
        return placeId;
    }

    Spot spot() {
        return new Spot(x, y);
    }
}
