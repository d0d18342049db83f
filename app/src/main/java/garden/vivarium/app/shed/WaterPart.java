package garden.vivarium.app.shed;

import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

/** Water and moisture as typed. */
record WaterPart(
        @NotBlank(message = "{WaterPart.say.which.water}")
        @Size(max = 200, message = "{WaterPart.shorten.it.to.200.characters}")
        String kind,

        @NotBlank(message = "{WaterPart.say.how.moist.at.sticking}")
        @Size(max = 200, message = "{WaterPart.shorten.it.to.200.characters}")
        Prose atSticking,

        @NotBlank(message = "{WaterPart.say.how.moist}")
        @Size(max = 200, message = "{WaterPart.shorten.it.to.200.characters}")
        Prose untilRooted,

        @NotBlank(message = "{WaterPart.say.how.moist.once.rooted}")
        @Size(max = 200, message = "{WaterPart.shorten.it.to.200.characters}")
        Prose after) {

    static WaterPart of(Protocol.Water p) {
        return new WaterPart(p.kind(), p.atSticking(), p.untilRooted(), p.after());
    }

    Protocol.Water changed() {
        return new Protocol.Water(kind, atSticking, untilRooted, after);
    }
}
