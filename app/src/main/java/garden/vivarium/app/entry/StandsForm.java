package garden.vivarium.app.entry;

import garden.vivarium.core.Limits;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.Serializable;

/**
 * One vessel that stands already, as typed.
 *
 * @param plant its name, a part of it that only one plant here has, or the code of a stock plant
 * @param group where neither the nursery nor the guide knows the plant; empty otherwise
 * @param when about when it was stuck, as people say it
 * @param pieces how many were stuck
 * @param rooted how many of them are ready; null where nobody has looked
 * @param lost how many are lost; null for none
 * @param method of the guide; empty for that by which most start the plant
 * @param medium as it is called, or a mix by parts; empty for the usual one
 * @param ownMedium it is said that a medium which nobody knows is one of their own
 * @param place where it stands
 */
record StandsForm(
        @NotBlank(message = "{StandsForm.say.which.plant.it.is}")
        @Size(max = 120, message = "{StandsForm.shorten.the.name.to.120}")
        String plant,

        String group,

        @NotBlank(message = "{StandsForm.say.about.when.3.weeks}")
        @Size(max = 40, message = "{StandsForm.say.it.shorter.3.weeks}")
        String when,

        @NotNull(message = "{StandsForm.say.how.many.were.stuck}")
        @Min(value = 1, message = "{StandsForm.give.1.piece.or.more}")
        @Max(value = Limits.MOST_PIECES, message = "{StandsForm.give.at.most.2.000}")
        Integer pieces,

        @Min(value = 0, message = "{StandsForm.rooted.0.or.more}")
        Integer rooted,

        @Min(value = 0, message = "{StandsForm.lost.0.or.more}")
        Integer lost,

        String method,

        @Size(max = 80, message = "{StandsForm.shorten.the.medium.to.80}")
        String medium,

        Boolean ownMedium,

        @NotBlank(message = "{StandsForm.say.where.it.stands}")
        @Size(max = 80, message = "{StandsForm.shorten.the.place.to.80}")
        String place)
        implements Serializable {

    static final StandsForm EMPTY = new StandsForm(null, null, null, null, null, null, null, null, false, null);

    /** What the next one has most likely in common with this one. */
    StandsForm next() {
        return new StandsForm(null, null, when, null, null, null, method, medium, ownMedium, place);
    }

    /** Whether it was said that the medium is one of their own. */
    boolean isOwnMedium() {
        return Boolean.TRUE.equals(ownMedium);
    }

    int lostOrNone() {
        return lost == null ? 0 : lost;
    }

    boolean wasLookedAt() {
        return rooted != null || lost != null;
    }
}
