package garden.vivarium.app.bench;

import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.core.timing.LookKind;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.UUID;

/** A look by count as typed. */
record CountsForm(
        UUID clientId,
        @NotNull(message = "Give the day of the look.") LocalDate lookedOn,
        @NotNull(message = "Say how you looked.") LookKind look,

        @Min(value = 0, message = "First sign cannot be below 0; give 0 or more, or leave it empty.")
        Integer firstSign,

        @NotNull(message = "Say how many are ready so far, 0 if none.")
        @Min(value = 0, message = "Ready cannot be below 0; give 0 or more.")
        Integer ready,

        @NotNull(message = "Say how many are lost so far, 0 if none.")
        @Min(value = 0, message = "Lost cannot be below 0; give 0 or more.")
        Integer lost,

        @Min(value = 0, message = "Sent cannot be below 0; give 0 or more.")
        Integer sent,

        @Size(max = 500, message = "Shorten the note to 500 characters.")
        String note) {

    LookCommand command() {
        return LookCommand.ofCounts(
                clientId == null ? UUID.randomUUID() : clientId,
                lookedOn,
                look,
                new LookCommand.Counted(firstSign, ready, lost, sent == null ? 0 : sent, null),
                note,
                null);
    }
}
