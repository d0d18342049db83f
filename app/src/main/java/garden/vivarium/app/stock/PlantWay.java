package garden.vivarium.app.stock;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.UUID;

/** A method that a nursery has struck off for a plant, or added though the guide calls it unusual. */
@Entity
class PlantWay extends NurseryRow {

    private UUID plantId;
    private String method;
    private boolean struck;
    private String word;
    private String personName;
    private Instant saidAt;

    protected PlantWay() {}

    PlantWay(UUID plantId, String method, boolean struck, String word, String person, Instant at) {
        this.plantId = plantId;
        this.method = method;
        this.struck = struck;
        this.word = word;
        this.personName = person;
        this.saidAt = at;
    }

    /** Belongs to another plant, as when two are made one. */
    void of(UUID plant) {
        plantId = plant;
    }

    PlantWayView view() {
        return new PlantWayView(method, struck, word, personName, saidAt);
    }
}
