package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import java.util.UUID;

/** What is known of one piece where it differs from its batch. */
@Entity
class PieceFact extends NurseryRow {

    private UUID batchId;
    private int piece;
    private String kind;
    private Integer lengthMm;
    private Integer nodes;

    protected PieceFact() {}

    PieceFact(UUID batchId, int piece) {
        this.batchId = batchId;
        this.piece = piece;
    }

    void say(String what, Integer length, Integer howManyNodes) {
        kind = what;
        lengthMm = length;
        nodes = howManyNodes;
    }

    int piece() {
        return piece;
    }

    String kind() {
        return kind;
    }
}
