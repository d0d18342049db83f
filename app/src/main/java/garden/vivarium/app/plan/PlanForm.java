package garden.vivarium.app.plan;

import garden.vivarium.core.Limits;
import garden.vivarium.core.plan.DayAsked;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.UUID;

/** An aim as typed. {@code sure} is in per cent; {@code take} is the grower's own number, or null for the least;
 * {@code with} and {@code later} are the second way of a split, and how many days later it starts;
 * {@code replaces} is a plan that this one stands for from now on, or null; {@code have} is what there is beyond the count, for which
 * {@code reason} holds a word, or null; {@code until} says what plants are to be by the day due, or null. */
public record PlanForm(
        @NotNull(message = "Choose the stock plant.") UUID stock,

        @NotNull(message = "Say how many young plants are wanted.")
        @Min(value = 1, message = "Give 1 or more young plants.")
        @Max(
                value = Limits.MOST_YOUNG_PLANTS,
                message = "Give at most 5,000 young plants; make several plans for more.")
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
        @Max(value = Limits.MOST_PIECES, message = "Take at most 2,000 pieces; make several plans for more.")
        Integer take,

        @Size(max = 300, message = "Shorten the reason to 300 characters.")
        String reason,

        @Size(max = 120, message = "Shorten the name to 120 characters.")
        String forWhom,

        String with,

        @Min(value = 0, message = "Give 0 days or more.") @Max(value = 365, message = "Give at most 365 days.")
        Integer later,

        UUID replaces,

        @Min(value = 1, message = "Give 1 piece or more.")
        @Max(value = Limits.MOST_PIECES, message = "Give at most 2,000 pieces.")
        Integer have,

        DayAsked until) {

    /** An aim for a way, with nothing else said. */
    public static PlanForm of(
            UUID stock, int wanted, LocalDate due, int sure, LocalDate start, String way, Integer take, String reason) {
        return new PlanForm(stock, wanted, 1, due, sure, start, way, take, reason, null, null, null, null, null, null);
    }

    /** The same aim by another way from another day. */
    PlanForm startingWith(String otherWay, LocalDate day) {
        return new PlanForm(
                stock, wanted, perPot, due, sure, day, otherWay, null, reason, null, null, null, null, have, until);
    }

    public int laterOrNone() {
        return later == null ? 0 : later;
    }

    /** What plants are to be by the day due; potted and settled, where nobody has said. */
    public DayAsked untilOrSettled() {
        return until == null ? DayAsked.SETTLED : until;
    }

    public int perPotOrOne() {
        return perPot == null ? 1 : perPot;
    }
}
