package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.watch.StageClock;
import jakarta.persistence.Entity;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** What was said of a stage of a batch's protocol on a day. */
@Entity
class BatchStage extends NurseryRow {

    private UUID batchId;
    private String stage;
    private LocalDate saidOn;
    private boolean done;
    private String personName;
    private Instant madeAt;

    protected BatchStage() {}

    BatchStage(UUID batchId, String stage, LocalDate saidOn, boolean done, String person, Instant madeAt) {
        this.batchId = batchId;
        this.stage = stage;
        this.saidOn = saidOn;
        this.done = done;
        this.personName = person;
        this.madeAt = madeAt;
    }

    UUID batchId() {
        return batchId;
    }

    StageClock.Said said() {
        return new StageClock.Said(stage, saidOn, done);
    }

    String person() {
        return personName;
    }
}
