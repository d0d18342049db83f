package garden.vivarium.app.shed;

import garden.vivarium.core.guide.Protocol;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;

/** Title of an own protocol as typed, and what is changed in this version and why. */
record IdentityPart(
        @NotBlank(message = "Give it a title.") @Size(max = 120, message = "Shorten the title to 120 characters.")
        String title,

        @NotBlank(message = "Say what you change and why, so that you know it again.")
        @Size(max = 300, message = "Shorten it to 300 characters.")
        String reason) {

    static IdentityPart of(Protocol.Identity p) {
        return new IdentityPart(p.title(), null);
    }

    Protocol.Identity onto(Protocol.Identity before) {
        return new Protocol.Identity(before.key(), before.version(), title);
    }
}
