package garden.vivarium.app.shed;

import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.treatment.Treatments;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

/** Medium and treatment as typed; several treatments are set apart by semicolons. The method and later media stay. */
record TechniquePart(
        @NotBlank(message = "{TechniquePart.choose.what.they.root.in}")
        String medium,

        @Size(max = 200, message = "{TechniquePart.shorten.the.treatment.to.200}")
        String treatment) {

    static TechniquePart of(Protocol.Technique p) {
        return new TechniquePart(p.medium(), p.treatment().written());
    }

    /** The technique as changed, in a medium by the guide's own name. */
    Protocol.Technique onto(Protocol.Technique before, String knownMedium) {
        return new Protocol.Technique(before.method(), knownMedium, before.then(), Treatments.read(treatment));
    }
}
