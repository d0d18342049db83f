package garden.vivarium.app.technique;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import java.util.UUID;

/** Which batch a tray of a trial became. */
@Entity
class TrialTray extends NurseryRow {

    private UUID trialId;
    private int tray;
    private UUID batchId;
    private String batchCode;

    protected TrialTray() {}

    TrialTray(UUID trialId, int tray, UUID batchId, String batchCode) {
        this.trialId = trialId;
        this.tray = tray;
        this.batchId = batchId;
        this.batchCode = batchCode;
    }

    UUID trialId() {
        return trialId;
    }

    int tray() {
        return tray;
    }

    UUID batchId() {
        return batchId;
    }

    String batchCode() {
        return batchCode;
    }
}
