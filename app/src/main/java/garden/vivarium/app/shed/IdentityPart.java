package garden.vivarium.app.shed;

import garden.vivarium.core.guide.Protocol;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

/** Title of an own protocol as typed, and what is changed in this version and why. */
record IdentityPart(
        @NotBlank(message = "{IdentityPart.give.it.a.title}")
        @Size(max = 120, message = "{IdentityPart.shorten.the.title.to.120}")
        String title,

        @NotBlank(message = "{IdentityPart.say.what.you.change.and}")
        @Size(max = 300, message = "{IdentityPart.shorten.it.to.300.characters}")
        String reason) {

    static IdentityPart of(Protocol.Identity p) {
        return new IdentityPart(p.title(), null);
    }

    Protocol.Identity onto(Protocol.Identity before) {
        return new Protocol.Identity(before.key(), before.version(), title);
    }
}
