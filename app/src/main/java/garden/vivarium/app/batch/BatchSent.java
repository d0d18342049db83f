package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDate;
import java.util.UUID;

/** Pieces or young plants that were sent away. */
@Entity
class BatchSent extends NurseryRow {

    private UUID batchId;
    private LocalDate sentOn;
    private int pieces;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private SentState state;

    private String toWhom;
    private String personName;

    protected BatchSent() {}

    BatchSent(UUID batchId, LocalDate sentOn, int pieces, SentState state, String toWhom, String personName) {
        this.batchId = batchId;
        this.sentOn = sentOn;
        this.pieces = pieces;
        this.state = state;
        this.toWhom = toWhom;
        this.personName = personName;
    }

    SentView view() {
        return new SentView(sentOn, pieces, state, toWhom, personName);
    }
}
