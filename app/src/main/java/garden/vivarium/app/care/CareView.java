package garden.vivarium.app.care;

import java.time.LocalDate;
import java.util.UUID;

/** Care as pages see it; {@code doneOn} is null while it is due, {@code outcome} until somebody says how it
 * turned out, {@code seen} is the mark of its forms. */
public record CareView(
        UUID id,
        Subject subject,
        String what,
        String symptom,
        String cause,
        LocalDate dueOn,
        LocalDate doneOn,
        LocalDate askOn,
        Outcome outcome,
        LocalDate outcomeOn,
        UUID course,
        String person,
        String seen) {}
