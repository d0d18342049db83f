package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.Instant;
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

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Fate fate = Fate.SENT;

    private String toWhom;
    private String personName;
    private Instant notedAt;
    private UUID checkId;
    private UUID pottingId;
    private boolean ofSettled;
    private boolean closedMove;

    protected BatchSent() {}

    BatchSent(
            UUID batchId,
            LocalDate sentOn,
            int pieces,
            SentState state,
            String toWhom,
            String personName,
            Instant now) {
        this.batchId = batchId;
        this.sentOn = sentOn;
        this.pieces = pieces;
        this.state = state;
        this.toWhom = toWhom;
        this.personName = personName;
        this.notedAt = now;
    }

    /** The look that says that they left unjudged. */
    void saidBy(Check look) {
        checkId = look.getId();
    }

    /** The move whose pieces, or young plants, left. */
    void of(Potting move, boolean settled, boolean closed) {
        pottingId = move.getId();
        ofSettled = settled;
        closedMove = closed;
    }

    void left(Fate how) {
        fate = how;
    }

    SentState state() {
        return state;
    }

    int pieces() {
        return pieces;
    }

    /** The look that says so; null for what left otherwise. */
    UUID checkId() {
        return checkId;
    }

    /** The move that it belongs to; null for what left unjudged. */
    UUID pottingId() {
        return pottingId;
    }

    /** Whether they had settled when they left. */
    boolean isOfSettled() {
        return ofSettled;
    }

    /** Whether nothing was left of the move, so that nobody need be asked how it settled. */
    boolean hasClosedMove() {
        return closedMove;
    }

    SentView view() {
        return new SentView(getId(), sentOn, pieces, state, toWhom, personName, fate);
    }
}
