package garden.vivarium.app.buildup;

import garden.vivarium.core.Limits;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;

/** A build-up as typed; {@code flush} and {@code grow} are null where the record or the guide is to say. */
record BuildUpForm(
        @NotNull(message = "{BuildUpForm.choose.the.stock.plant}")
        UUID stock,

        @NotNull(message = "{BuildUpForm.say.how.many.young.plants}")
        @Min(value = 1, message = "{BuildUpForm.give.1.or.more.young}")
        @Max(value = 100000, message = "{BuildUpForm.give.at.most.100.000}")
        Integer wanted,

        @NotNull(message = "{BuildUpForm.say.by.when}") LocalDate due,

        @Min(value = 1, message = "{BuildUpForm.begin.with.1.stock.plant}")
        @Max(value = 1000, message = "{BuildUpForm.begin.with.at.most.1}")
        Integer plants,

        @Min(value = 1, message = "{BuildUpForm.a.flush.is.1.piece}")
        @Max(value = Limits.MOST_PIECES, message = "{BuildUpForm.a.flush.is.at.most}")
        Integer flush,

        @Min(value = 0, message = "{BuildUpForm.growing.on.takes.0.days}")
        @Max(value = 1500, message = "{BuildUpForm.growing.on.takes.at.most}")
        Integer grow,

        String way) {}
