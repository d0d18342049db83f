package garden.vivarium.app.young;

import garden.vivarium.app.platform.Named;
import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDate;
import java.util.UUID;

/** So many young plants of a move have come to something. */
@Entity
class YoungMark extends NurseryRow {

    /** To what. */
    enum Mark implements Named {
        SALEABLE,
        FLOWERED,
        CUTTABLE;
    }

    private UUID batchId;
    private UUID pottingId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Mark mark;

    private LocalDate reachedOn;
    private int plants;
    private String personName;

    protected YoungMark() {}

    YoungMark(UUID batchId, UUID pottingId, Mark mark, LocalDate reachedOn, int plants, String personName) {
        this.batchId = batchId;
        this.pottingId = pottingId;
        this.mark = mark;
        this.reachedOn = reachedOn;
        this.plants = plants;
        this.personName = personName;
    }

    UUID batchId() {
        return batchId;
    }

    UUID pottingId() {
        return pottingId;
    }

    Mark mark() {
        return mark;
    }

    LocalDate reachedOn() {
        return reachedOn;
    }

    int plants() {
        return plants;
    }

    String personName() {
        return personName;
    }
}
