package garden.vivarium.app.batch;

import jakarta.persistence.Embeddable;
import java.time.LocalDate;

/**
 * When pieces were cut and set, and how many.
 *
 * @param takenOn day they were cut from the plant
 * @param taken how many, 1 and up
 * @param stuckOn day they were set into the medium; null while wounds dry
 * @param stuck how many came through; null while wounds dry
 * @param unsureDays how many days before or after {@code stuckOn} it may have been; 0 where the day is known
 */
@Embeddable
public record Taking(LocalDate takenOn, int taken, LocalDate stuckOn, Integer stuck, int unsureDays) {

    /** On days that are known. */
    public Taking(LocalDate takenOn, int taken, LocalDate stuckOn, Integer stuck) {
        this(takenOn, taken, stuckOn, stuck, 0);
    }

    /** Cut, and left to dry. */
    public static Taking drying(LocalDate day, int pieces) {
        return new Taking(day, pieces, null, null);
    }

    /** The same once they are set. */
    Taking stuck(LocalDate day, int pieces) {
        return new Taking(takenOn, taken, day, pieces);
    }
}
