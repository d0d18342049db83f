package garden.vivarium.app.evidence;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.timing.Milestone;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** How many pieces of a batch have one interval for a milestone: what analysis reads. */
@Entity
@Immutable
@Table(name = "tally")
class TallyRow extends NurseryRow {

    private UUID batchId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(12)")
    private Milestone milestone;

    private int afterDay;
    private Integer byDay;
    private Integer aliveDay;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(10)")
    private Outcome outcome;

    private long pieces;

    protected TallyRow() {}

    TallyRow(UUID batchId, Milestone milestone, Interval interval, long pieces) {
        this.batchId = batchId;
        this.milestone = milestone;
        this.afterDay = interval.after();
        this.byDay = interval.outcome().isOpen() ? null : interval.by();
        this.aliveDay = interval.outcome().isOpen() ? interval.alive() : null;
        this.outcome = interval.outcome();
        this.pieces = pieces;
    }

    UUID batchId() {
        return batchId;
    }

    Milestone milestone() {
        return milestone;
    }

    Interval interval() {
        return new Interval(
                afterDay, byDay == null ? Interval.NEVER : byDay, outcome, aliveDay == null ? afterDay : aliveDay);
    }

    long pieces() {
        return pieces;
    }
}
