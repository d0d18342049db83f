package garden.vivarium.app.shed;

import garden.vivarium.app.platform.Messages;
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
        @NotBlank(message = "{WoundPart.write.the.steps.one.a}")
        @Size(max = 2000, message = "{WoundPart.shorten.the.steps.to.2}")
        Prose prepare,

        @Min(value = 0, message = "{WoundPart.days.to.dry.0.or}")
        @Max(value = 120, message = "{WoundPart.days.to.dry.at.most}")
        Integer callusLeast,

        @Min(value = 1, message = "{WoundPart.days.to.dry.1.or}")
        @Max(value = 180, message = "{WoundPart.days.to.dry.at.most.2}")
        Integer callusMost,

        @NotBlank(message = "{WoundPart.say.what.hormone.or.why}")
        @Size(max = 200, message = "{WoundPart.shorten.it.to.200.characters}")
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
            wrong.rejectValue("callusMost", "problem", Messages.text("WoundPart.the.longest.drying.is.no"));
        }
        if (callusLeast != null && callusMost == null) {
            wrong.rejectValue("callusMost", "problem", Messages.text("WoundPart.give.the.longest.drying.too"));
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
