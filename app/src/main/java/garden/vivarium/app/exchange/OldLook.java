package garden.vivarium.app.exchange;

import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;

/** A look of the file, on that day or up to so many days before or after it. */
record OldLook(long line, LocalDate day, int unsureDays, LookKind kind, Counted counts, String note) {

    /** Counts so far; what the file does not say is null. */
    record Counted(Integer firstSign, int ready, int lost, int sent, Integer youngPlants) {}

    /** About the day on which it was stuck is that day or later. */
    OldLook notBefore(LocalDate stuckOn) {
        boolean about = unsureDays > 0
                && day.isBefore(stuckOn)
                && !day.plusDays(unsureDays).isBefore(stuckOn);
        return about ? new OldLook(line, stuckOn, unsureDays, kind, counts, note) : this;
    }
}
