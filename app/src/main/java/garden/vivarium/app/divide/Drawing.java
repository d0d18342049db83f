package garden.vivarium.app.divide;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** A plant as it was drawn and divided. */
@Entity
class Drawing extends NurseryRow {

    private UUID stockPlantId;
    private UUID batchId;
    private String batchCode;
    private LocalDate dividedOn;
    private String drawn;
    private String cuts;
    private String personName;
    private Instant madeAt;
    private boolean withdrawn;

    protected Drawing() {}

    Drawing(UUID stockPlantId, String drawn, String cuts) {
        this.stockPlantId = stockPlantId;
        this.drawn = drawn;
        this.cuts = cuts;
    }

    void became(UUID batch, String code, LocalDate day) {
        batchId = batch;
        batchCode = code;
        dividedOn = day;
    }

    void by(String person, Instant at) {
        personName = person;
        madeAt = at;
    }

    /** Whether its batch never was. */
    void withdrawn(boolean neverWas) {
        withdrawn = neverWas;
    }

    String batchCode() {
        return batchCode;
    }

    LocalDate dividedOn() {
        return dividedOn;
    }

    String drawn() {
        return drawn;
    }

    String cuts() {
        return cuts;
    }

    String personName() {
        return personName;
    }
}
