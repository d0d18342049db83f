package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.OptionalInt;
import java.util.UUID;
import org.hibernate.annotations.SQLRestriction;

/** A batch that was withdrawn: nobody counts or shows it, but it can be taken back. */
@Entity
@Table(name = "batch")
@SQLRestriction("withdrawn_at is not null")
class WithdrawnBatch extends NurseryRow {

    private String code;
    private int codeYear;
    private int codeWeek;
    private int codeNumber;
    private UUID plantId;
    private String plantName;
    private LocalDate takenOn;
    private int taken;
    private int changes;
    private Instant withdrawnAt;
    private String withdrawnBy;
    private String withdrawnWhy;
    private Integer withdrawnCut;
    private String withdrawnOldCode;
    private String oldCode;

    protected WithdrawnBatch() {}

    /**
     * It was after all.
     *
     * @param oldNameIsFree whether no other batch has taken the name that it had in old records
     * @return how much of what its plant bears was cut for it, if that was taken back with it
     */
    OptionalInt restore(boolean oldNameIsFree) {
        oldCode = oldNameIsFree ? withdrawnOldCode : null;
        withdrawnOldCode = null;
        OptionalInt cut = withdrawnCut == null ? OptionalInt.empty() : OptionalInt.of(withdrawnCut);
        withdrawnCut = null;
        withdrawnAt = null;
        withdrawnBy = null;
        withdrawnWhy = null;
        changes++;
        return cut;
    }

    /** The name that it had in old records; null for none. */
    String oldName() {
        return withdrawnOldCode;
    }

    WithdrawnView view() {
        return new WithdrawnView(code, plantName, takenOn, taken, withdrawnBy, withdrawnAt, withdrawnWhy);
    }
}
