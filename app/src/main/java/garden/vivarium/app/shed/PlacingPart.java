package garden.vivarium.app.shed;

import garden.vivarium.app.platform.InUnit;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Spacing;
import garden.vivarium.core.measure.Unit;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.springframework.validation.Errors;

/** What the pieces stand in, how far apart and how deep, as typed. Distances are in cm. */
record PlacingPart(
        @NotBlank(message = "{PlacingPart.say.what.it.stands.in}")
        @Size(max = 200, message = "{PlacingPart.shorten.it.to.200.characters}")
        Prose vessel,

        @InUnit(value = Unit.CENTIMETRE, least = 0.1, most = 500)
        Double apartCm,

        @Size(max = 200, message = "{PlacingPart.shorten.it.to.200.characters}")
        String spacing,

        @NotBlank(message = "{PlacingPart.say.how.deep}")
        @Size(max = 200, message = "{PlacingPart.shorten.it.to.200.characters}")
        Prose depth) {

    static PlacingPart of(Protocol.Placing p) {
        return new PlacingPart(
                p.vessel().words(),
                p.spacing().apartMm().map(mm -> mm / 10.0).orElse(null),
                p.spacing().words(),
                p.depth());
    }

    void refuseDisorder(Errors wrong) {
        if (apartCm == null && words().isEmpty()) {
            wrong.rejectValue("spacing", "problem", Messages.text("PlacingPart.say.how.far.apart.in"));
        }
    }

    Protocol.Placing onto(Protocol.Placing before) {
        Protocol.Vessel was = before.vessel();
        Protocol.Vessel.Kind kind = vessel.equals(was.words()) ? was.kind() : Protocol.Vessel.Kind.of(vessel.metric());
        Optional<Integer> apartMm = Optional.ofNullable(apartCm).map(cm -> (int) Math.round(10 * cm));
        return new Protocol.Placing(
                new Protocol.Vessel(vessel, kind, was.clear(), was.depthCm()), new Spacing(apartMm, words()), depth);
    }

    private String words() {
        return spacing == null ? "" : spacing.strip();
    }
}
