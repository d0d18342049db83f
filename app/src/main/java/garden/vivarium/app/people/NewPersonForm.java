package garden.vivarium.app.people;

import garden.vivarium.app.platform.Role;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;

/** Somebody to be let in. */
record NewPersonForm(
        @NotBlank(message = "Say how they are called.") @Size(max = 80, message = "Shorten the name to 80 characters.")
        String name,

        @NotBlank(message = "Choose a name for them to sign in with.")
        @Pattern(
                regexp = "[\\p{L}\\p{N}._@-]{2,80}",
                message = "Use 2 to 80 letters, digits, dots, dashes, underscores or @, without blanks.")
        String signIn,

        @Size(max = 200, message = "Shorten the password to 200 characters.")
        String password,

        @NotNull(message = "Say what they may do.") Role role) {

    static final NewPersonForm EMPTY = new NewPersonForm(null, null, null, Role.GROWER);
}
