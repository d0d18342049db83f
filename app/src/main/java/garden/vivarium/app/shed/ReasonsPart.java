package garden.vivarium.app.shed;

import garden.vivarium.core.guide.Protocol;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

/** Why this way, as typed. Cautions and what others say stay. */
record ReasonsPart(
        @NotBlank(message = "{ReasonsPart.say.why.this.way}")
        @Size(max = 600, message = "{ReasonsPart.shorten.it.to.600.characters}")
        String why) {

    static ReasonsPart of(Protocol.Reasons p) {
        return new ReasonsPart(p.why());
    }

    Protocol.Reasons onto(Protocol.Reasons before) {
        return new Protocol.Reasons(before.cautions(), why, before.schools());
    }
}
