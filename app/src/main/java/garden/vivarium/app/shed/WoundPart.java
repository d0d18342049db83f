package garden.vivarium.app.shed;

import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.springframework.validation.Errors;

/** Steps, drying and hormone as typed; one step a line. */
record WoundPart(
        @NotBlank(message = "Write the steps, one a line.")
        @Size(max = 2000, message = "Shorten the steps to 2,000 characters.")
        Prose prepare,

        @Min(value = 0, message = "Days to dry: 0 or more.") @Max(value = 120, message = "Days to dry: at most 120.")
        Integer callusLeast,

        @Min(value = 1, message = "Days to dry: 1 or more.") @Max(value = 180, message = "Days to dry: at most 180.")
        Integer callusMost,

        @NotBlank(message = "Say what hormone, or why none.")
        @Size(max = 200, message = "Shorten it to 200 characters.")
        String hormone) {

    /** What is taken of a wait that the protocol did not have: most dry well, and no seal. */
    private static final Protocol.Callus USUAL = new Protocol.Callus(1, 1, 0.97, "not needed");

    static WoundPart of(Protocol.Wound p) {
        return new WoundPart(
                Prose.lines(p.prepare()),
                p.callus().map(Protocol.Callus::least).orElse(null),
                p.callus().map(Protocol.Callus::most).orElse(null),
                p.hormone().what());
    }

    void refuseDisorder(Errors wrong) {
        if (callusLeast != null && callusMost != null && callusMost < callusLeast) {
            wrong.rejectValue("callusMost", "problem", "The longest drying is no shorter than the shortest.");
        }
        if (callusLeast != null && callusMost == null) {
            wrong.rejectValue("callusMost", "problem", "Give the longest drying too, or leave both empty.");
        }
    }

    Protocol.Wound onto(Protocol.Wound before) {
        List<Prose> steps = prepare.lines();
        Protocol.Callus was = before.callus().orElse(USUAL);
        Optional<Protocol.Callus> callus = Optional.ofNullable(callusMost)
                .map(most -> new Protocol.Callus(
                        callusLeast == null ? most : callusLeast, most, was.survival(), was.seal()));
        return new Protocol.Wound(
                steps, callus, new Protocol.Hormone(before.hormone().need(), hormone));
    }
}
