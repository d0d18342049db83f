package garden.vivarium.app.plan;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.core.plan.Aim;
import garden.vivarium.core.plan.DayAsked;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** A committed plan, with the number and the chance as they were when it was committed. */
@Entity
class Plan extends NurseryRow {

    private UUID stockPlantId;
    private String protocol;
    private int protocolVersion;
    private int youngPlants;
    private int piecesPerPot;
    private LocalDate due;
    private double confidence;
    private LocalDate startOn;
    private int take;
    private double chance;
    private LocalDate lastSafeStart;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private PlanState state;

    @Enumerated(EnumType.STRING)
    @Column(name = "by_then", columnDefinition = "varchar(20)")
    private DayAsked until;

    private String reason;
    private String batchCode;
    private UUID splitId;
    private Instant madeAt;

    @Version
    private long version;

    protected Plan() {}

    Plan(UUID stockPlantId, ChosenWay chosen, DayAsked until, String reason, Instant madeAt) {
        this.stockPlantId = stockPlantId;
        this.protocol = chosen.protocol().key();
        this.protocolVersion = chosen.protocol().version();
        this.youngPlants = chosen.aim().youngPlants();
        this.piecesPerPot = chosen.aim().piecesPerPot();
        this.due = chosen.aim().due();
        this.confidence = chosen.aim().confidence();
        this.startOn = chosen.way().start();
        this.take = chosen.take();
        this.chance = chosen.chance();
        this.lastSafeStart = chosen.way().lastSafeStart().orElse(null);
        this.until = until;
        this.reason = reason;
        this.state = PlanState.PLANNED;
        this.madeAt = madeAt;
    }

    /** One of two that stand for one aim. */
    Plan ofSplit(UUID split) {
        splitId = split;
        return this;
    }

    void stuck(String code) {
        state = PlanState.STUCK;
        batchCode = code;
    }

    /** What was made of it never was: it waits again. */
    void waitsAgain() {
        state = PlanState.PLANNED;
        batchCode = null;
    }

    void drop() {
        state = PlanState.DROPPED;
    }

    PlanView view() {
        return new PlanView(
                getId(),
                stockPlantId,
                protocol,
                protocolVersion,
                new Aim(youngPlants, piecesPerPot, due, confidence),
                until,
                new PlanView.Start(startOn, take, chance, lastSafeStart, reason),
                new PlanView.Standing(state, batchCode, splitId),
                Seen.mark(mark(), version));
    }

    /** Its name in the marks of forms. */
    String mark() {
        return "plan " + getId();
    }

    long version() {
        return version;
    }
}
