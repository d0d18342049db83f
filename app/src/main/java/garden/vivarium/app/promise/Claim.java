package garden.vivarium.app.promise;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Version;
import java.util.UUID;

/** What a promise draws on: so many young plants of a batch, or of a plan until it is stuck. */
@Entity
class Claim extends NurseryRow {

    private UUID promiseId;
    private UUID planId;
    private UUID batchId;
    private int plants;
    private int given;

    @Version
    private long version;

    protected Claim() {}

    Claim(UUID promiseId, UUID planId, UUID batchId, int plants) {
        this.promiseId = promiseId;
        this.planId = planId;
        this.batchId = batchId;
        this.plants = plants;
    }

    void gave(int more) {
        given += more;
        plants = Math.max(plants, given);
    }

    /** The plan that it draws on was changed. */
    void movesTo(UUID plan, int youngPlants) {
        planId = plan;
        plants = Math.max(given, Math.min(plants, youngPlants));
    }

    /** Lets go of what has not been given. */
    void letGo() {
        plants = given;
    }

    void draw(int more) {
        plants += more;
    }

    UUID promiseId() {
        return promiseId;
    }

    UUID planId() {
        return planId;
    }

    UUID batchId() {
        return batchId;
    }

    int plants() {
        return plants;
    }

    int given() {
        return given;
    }
}
