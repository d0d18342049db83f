package garden.vivarium.app.buildup;

import garden.vivarium.core.Limits;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;

/** A build-up as typed; {@code flush} and {@code grow} are null where the record or the guide is to say. */
record BuildUpForm(
        @NotNull(message = "Choose the stock plant.") UUID stock,

        @NotNull(message = "Say how many young plants are wanted.")
        @Min(value = 1, message = "Give 1 or more young plants.")
        @Max(value = 100000, message = "Give at most 100,000 young plants.")
        Integer wanted,

        @NotNull(message = "Say by when.") LocalDate due,

        @Min(value = 1, message = "Begin with 1 stock plant or more.")
        @Max(value = 1000, message = "Begin with at most 1,000 stock plants.")
        Integer plants,

        @Min(value = 1, message = "A flush is 1 piece or more.")
        @Max(value = Limits.MOST_PIECES, message = "A flush is at most 2,000 pieces.")
        Integer flush,

        @Min(value = 0, message = "Growing on takes 0 days or more.")
        @Max(value = 1500, message = "Growing on takes at most 1,500 days.")
        Integer grow,

        String way) {}
