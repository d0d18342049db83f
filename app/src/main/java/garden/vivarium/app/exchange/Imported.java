package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.UUID;

/** Something that a file made. */
@Entity
class Imported extends NurseryRow {

    private UUID importId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private RecordKind.Made made;

    private UUID subjectId;

    protected Imported() {}

    Imported(UUID importId, RecordKind.Made made, UUID subjectId) {
        this.importId = importId;
        this.made = made;
        this.subjectId = subjectId;
    }

    RecordKind.Made made() {
        return made;
    }

    UUID subjectId() {
        return subjectId;
    }
}
