package garden.vivarium.app.young;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import java.time.LocalDate;
import java.util.UUID;

/** What a usual plant of a move measured on a day. */
@Entity
class YoungMeasure extends NurseryRow {

    private UUID batchId;
    private UUID pottingId;
    private LocalDate measuredOn;
    private Integer heightMm;
    private Integer spreadMm;
    private Integer leaves;
    private String personName;

    protected YoungMeasure() {}

    YoungMeasure(UUID batchId, UUID pottingId, LocalDate measuredOn, String personName) {
        this.batchId = batchId;
        this.pottingId = pottingId;
        this.measuredOn = measuredOn;
        this.personName = personName;
    }

    void measures(Integer height, Integer spread, Integer number) {
        heightMm = height;
        spreadMm = spread;
        leaves = number;
    }

    UUID pottingId() {
        return pottingId;
    }

    /** Null where it was not measured. */
    Integer heightMm() {
        return heightMm;
    }

    LocalDate measuredOn() {
        return measuredOn;
    }

    YoungSheet.Measured view() {
        return new YoungSheet.Measured(getId(), measuredOn, heightMm, spreadMm, leaves, personName);
    }
}
