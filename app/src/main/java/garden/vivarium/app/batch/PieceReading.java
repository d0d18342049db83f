package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.looks.Firmness;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.Reading;
import garden.vivarium.core.timing.LookKind;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** What one check saw of one piece. */
@Entity
@Immutable
@Table(name = "reading")
class PieceReading extends NurseryRow {

    private UUID checkId;
    private int piece;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(10)")
    private LookKind look;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(12)")
    private PieceState state;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(12)")
    private LossCause cause;

    private Integer rootMm;
    private Boolean sideRoots;
    private Boolean topGrowth;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(12)")
    private Firmness firmness;

    private String note;

    protected PieceReading() {}

    PieceReading(UUID checkId, LookCommand.Seen seen) {
        this.checkId = checkId;
        this.piece = seen.piece();
        this.look = seen.look();
        this.state = seen.state();
        this.cause = seen.cause();
        this.rootMm = seen.rootMm();
        this.sideRoots = seen.sideRoots();
        this.topGrowth = seen.topGrowth();
        this.firmness = seen.firmness();
        this.note = seen.note();
    }

    UUID checkId() {
        return checkId;
    }

    Reading reading() {
        return new Reading(piece, look, state, Optional.ofNullable(cause), Optional.ofNullable(firmness));
    }

    /** As it was typed. */
    LookCommand.Seen seen() {
        return new LookCommand.Seen(piece, look, state, cause, rootMm, sideRoots, topGrowth, firmness, note);
    }

    int piece() {
        return piece;
    }

    /** What was noted beside the state. */
    Noted noted() {
        return new Noted(rootMm, sideRoots, topGrowth, cause);
    }
}
