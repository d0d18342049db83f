package garden.vivarium.app.care;

import garden.vivarium.core.guide.CareAct;
import java.time.LocalDate;
import java.util.UUID;

/**
 * Care as pages see it.
 *
 * @param subject what it is done to
 * @param what what is done
 * @param trouble against what
 * @param days when
 * @param result how it turned out
 * @param course common to the treatments of one course, else null
 * @param act which of the acts that are asked for again; null for anything else
 * @param person who wrote it down
 * @param seen the mark of its forms
 */
public record CareView(
        UUID id,
        Subject subject,
        String what,
        Trouble trouble,
        Days days,
        Result result,
        UUID course,
        CareAct act,
        String person,
        String seen) {

    /** What was seen, and what is thought to cause it; null where nothing was said. */
    public record Trouble(String symptom, String cause) {}

    /** Due, done (null while it is due), and when to ask how it turned out (or null). */
    public record Days(LocalDate due, LocalDate done, LocalDate ask) {}

    /** Whether it was done, and is asked about later. */
    public boolean isAsked() {
        return days.ask() != null && days.done() != null;
    }

    /** Whether it was done and nobody has said yet how it turned out. */
    public boolean isWaited() {
        return isAsked() && result.outcome() == null;
    }

    /** How it turned out and when that was said; both null until somebody says so. */
    public record Result(Outcome outcome, LocalDate on) {}
}
