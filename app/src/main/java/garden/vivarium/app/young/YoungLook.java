package garden.vivarium.app.young;

import garden.vivarium.app.batch.YoungPlants;
import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.looks.LossCause;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** A look at the young plants of a move: how many hold, grow, wobble, hang, and were lost since the look before. */
@Entity
class YoungLook extends NurseryRow {

    private UUID batchId;
    private UUID pottingId;
    private LocalDate seenOn;
    private int holds;
    private int growing;
    private int wobbles;
    private int hanging;
    private int lost;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private LossCause cause;

    private boolean lostSettled;
    private boolean settles;
    private boolean withdrawn;
    private String note;
    private String personName;
    private Instant notedAt;

    protected YoungLook() {}

    YoungLook(UUID batchId, UUID pottingId, YoungSeen seen) {
        this.batchId = batchId;
        this.pottingId = pottingId;
        seenOn = seen.day();
        holds = seen.holds();
        growing = seen.growing();
        wobbles = seen.wobbles();
        hanging = seen.hanging();
        lost = seen.lost();
        cause = seen.cause();
        note = seen.note();
    }

    void changed(YoungPlants.Changed what, String person, Instant at) {
        lostSettled = what.lostSettled();
        settles = what.settles();
        personName = person;
        notedAt = at;
    }

    /** Nothing of the move is settled any more. */
    void unsettled() {
        lostSettled = false;
        settles = false;
    }

    boolean lostSettled() {
        return lostSettled;
    }

    void withdraw() {
        withdrawn = true;
    }

    UUID batchId() {
        return batchId;
    }

    UUID pottingId() {
        return pottingId;
    }

    boolean isWithdrawn() {
        return withdrawn;
    }

    boolean settles() {
        return settles;
    }

    String personName() {
        return personName;
    }

    YoungSeen seen() {
        return new YoungSeen(seenOn, holds, growing, wobbles, hanging, lost, cause, note);
    }
}
