package garden.vivarium.app.plan;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.UUID;

/** An aim as typed. {@code sure} is in per cent; {@code take} is the grower's own number, or null for the least. */
record PlanForm(
        @NotNull(message = "Choose the stock plant.") UUID stock,

        @NotNull(message = "Say how many young plants are wanted.")
        @Min(value = 1, message = "Give 1 or more young plants.")
        @Max(value = 5000, message = "Give at most 5,000 young plants; make several plans for more.")
        Integer wanted,

        @Min(value = 1, message = "A pot has 1 piece or more.")
        @Max(value = 50, message = "Give at most 50 pieces to a pot.")
        Integer perPot,

        @NotNull(message = "Say by when.") LocalDate due,

        @NotNull(message = "Say how sure it must be.")
        @Min(value = 50, message = "Ask for 50% or more; less is a coin toss.")
        @Max(value = 99, message = "Nothing that grows is 100% sure; ask for 99% at most.")
        Integer sure,

        LocalDate start,
        String way,

        @Min(value = 1, message = "Take 1 piece or more.")
        @Max(value = 2000, message = "Take at most 2,000 pieces; make several plans for more.")
        Integer take,

        @Size(max = 300, message = "Shorten the reason to 300 characters.")
        String reason,

        @Size(max = 120, message = "Shorten the name to 120 characters.")
        String forWhom) {

    public int perPotOrOne() {
        return perPot == null ? 1 : perPot;
    }
}
