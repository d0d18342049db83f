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
        @NotNull(message = "{PlanForm.choose.the.stock.plant}")
        UUID stock,

        @NotNull(message = "{PlanForm.say.how.many.young.plants}")
        @Min(value = 1, message = "{PlanForm.give.1.or.more.young}")
        @Max(value = Limits.MOST_YOUNG_PLANTS, message = "{PlanForm.give.at.most.5.000}")
        Integer wanted,

        @Min(value = 1, message = "{PlanForm.a.pot.has.1.piece}")
        @Max(value = 50, message = "{PlanForm.give.at.most.50.pieces}")
        Integer perPot,

        @NotNull(message = "{PlanForm.say.by.when}") LocalDate due,

        @NotNull(message = "{PlanForm.say.how.sure.it.must}")
        @Min(value = 50, message = "{PlanForm.ask.for.50.or.more}")
        @Max(value = 99, message = "{PlanForm.nothing.that.grows.is.100}")
        Integer sure,

        LocalDate start,
        String way,

        @Min(value = 1, message = "{PlanForm.take.1.piece.or.more}")
        @Max(value = Limits.MOST_PIECES, message = "{PlanForm.take.at.most.2.000}")
        Integer take,

        @Size(max = 300, message = "{PlanForm.shorten.the.reason.to.300}")
        String reason,

        @Size(max = 120, message = "{PlanForm.shorten.the.name.to.120}")
        String forWhom,

        String with,

        @Min(value = 0, message = "{PlanForm.give.0.days.or.more}")
        @Max(value = 365, message = "{PlanForm.give.at.most.365.days}")
        Integer later,

        UUID replaces,

        @Min(value = 1, message = "{PlanForm.give.1.piece.or.more}")
        @Max(value = Limits.MOST_PIECES, message = "{PlanForm.give.at.most.2.000}")
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
