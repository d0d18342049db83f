package garden.vivarium.app.evidence;

import garden.vivarium.app.batch.BatchJudged;
import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.app.platform.StoredTreatments;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.SeasonFactors;
import garden.vivarium.core.treatment.Treatments;
import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.UUID;

/** What a batch tells of its way, without its tallies. */
@Entity
class EvidenceBatch extends NurseryRow {

    private UUID batchId;
    private String plant;
    private String plantKind;
    private String plantGroup;
    private String method;
    private String medium;

    @Convert(converter = StoredTreatments.class)
    private Treatments treatment;

    private boolean ofTrial;
    private String ownProtocol;
    private Integer ownVersion;
    private double slowing;
    private double thinning;
    private double seasonOut;

    // Pieces cut, where a callus stage came between; else 0.
    private int dried;

    private int stuck;
    private int settled;
    private int settledOf;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(10)")
    private BatchJudged.Life life;

    private int changes;
    private double countsAs = 1;

    protected EvidenceBatch() {}

    EvidenceBatch(UUID batchId) {
        this.batchId = batchId;
    }

    /** Takes over what is told of it now. */
    void tells(WayBatch told, BatchJudged.Life now) {
        plant = told.way().plant();
        plantKind = told.way().kind();
        plantGroup = told.way().group();
        method = told.way().method();
        medium = told.way().medium();
        treatment = told.way().treatment();
        ofTrial = told.way().isOfTrial();
        ownProtocol = told.way().own().map(Way.Own::protocol).orElse(null);
        ownVersion = told.way().own().map(Way.Own::version).orElse(null);
        slowing = told.season().slower();
        thinning = told.season().poorer();
        seasonOut = told.season().out();
        dried = told.taken();
        stuck = told.stuck();
        settled = told.moved().settled();
        settledOf = told.moved().of();
        life = now;
        changes++;
    }

    UUID batchId() {
        return batchId;
    }

    /** Raised whenever something is told of it. */
    int changes() {
        return changes;
    }

    /** As what share of itself it counts from now on. */
    void countsAs(double share) {
        countsAs = share;
        changes++;
    }

    /** Whether it tells anything: what sleeps does not, since its days are not counted. */
    boolean tells() {
        return life != BatchJudged.Life.ASLEEP;
    }

    /** Whether nothing of it is pending any more. */
    boolean isOver() {
        return life == BatchJudged.Life.OVER;
    }

    /** What it tells, with its tallies. Of a batch that is over nothing is pending any more. */
    WayBatch with(Tallies firstSign, Tallies ready) {
        boolean over = isOver();
        return new WayBatch(
                new Way(
                        plant,
                        plantKind,
                        plantGroup,
                        method,
                        medium,
                        treatment,
                        Way.Own.of(ownProtocol, ownVersion),
                        ofTrial),
                new SeasonFactors(slowing, thinning, seasonOut),
                dried,
                stuck,
                new WayBatch.Moved(settled, settledOf),
                over ? firstSign.closed() : firstSign,
                over ? ready.closed() : ready,
                countsAs);
    }
}
