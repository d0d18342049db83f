package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.timing.LookKind;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** A dated look at a batch. One that was taken back stays, with who took it back and when. */
@Entity
@Table(name = "batch_check")
class Check extends NurseryRow {

    private UUID batchId;
    private UUID clientId;
    private int entry;
    private LocalDate lookedOn;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(10)")
    private LookKind look;

    private boolean byCount;
    private Integer firstSign;
    private Integer ready;
    private Integer lost;
    private Integer sent;
    private Integer youngPlants;
    private boolean gaveUp;
    private Integer lostReady;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private LossCause cause;

    private String note;
    private String personName;
    private Instant madeAt;
    private Instant withdrawnAt;
    private String withdrawnBy;

    protected Check() {}

    /** {@code entry} counts the checks of the batch: two on one day are replayed in the order in which they were made. */
    Check(UUID batchId, int entry, LookCommand c, String personName, Instant madeAt) {
        this.batchId = batchId;
        this.entry = entry;
        this.clientId = c.clientId();
        this.lookedOn = c.lookedOn();
        this.look = c.look();
        this.note = c.note();
        this.personName = personName;
        this.madeAt = madeAt;
        this.byCount = c.counts() != null;
        if (byCount) {
            this.firstSign = c.counts().firstSign();
            this.ready = c.counts().ready();
            this.lost = c.counts().lost();
            this.sent = c.counts().sent();
            this.youngPlants = c.counts().youngPlants();
            this.gaveUp = c.counts().gaveUp();
            this.lostReady = c.counts().lostReady();
            this.cause = c.counts().cause();
        }
    }

    void withdraw(String who, Instant when) {
        withdrawnBy = who;
        withdrawnAt = when;
    }

    boolean isWithdrawn() {
        return withdrawnAt != null;
    }

    UUID batchId() {
        return batchId;
    }

    LocalDate lookedOn() {
        return lookedOn;
    }

    LookKind look() {
        return look;
    }

    String note() {
        return note;
    }

    boolean byCount() {
        return byCount;
    }

    /** A look by count as it was typed; its id is the check's. */
    LookCommand command() {
        return LookCommand.ofCounts(
                getId(),
                lookedOn,
                look,
                new LookCommand.Counted(firstSign, ready, lost, sent, youngPlants, gaveUp, lostReady, cause),
                note,
                null);
    }

    CheckView view(int readings) {
        return new CheckView(
                getId(),
                lookedOn,
                look,
                byCount,
                new CheckView.Counted(firstSign, ready, lost, sent, youngPlants, lostReady, cause),
                readings,
                note,
                new CheckView.Written(personName, madeAt),
                new CheckView.TakenBack(withdrawnBy, withdrawnAt));
    }
}
