package garden.vivarium.app.people;

import garden.vivarium.core.timing.Hemisphere;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;

/** What the first-start page asks. */
record FirstStartForm(
        @NotBlank(message = "Give the code that the start command prints.")
        @Size(max = 20, message = "The code has 8 letters and digits.")
        String code,

        @NotBlank(message = "Give the nursery a name.")
        @Size(max = 120, message = "Shorten the name to 120 characters.")
        String nursery,

        @NotBlank(message = "Choose the time zone.") String zone,

        @NotNull(message = "Say which half of the globe; it decides the seasons.")
        Hemisphere hemisphere,

        String currency,

        @NotBlank(message = "Say how you are called.") @Size(max = 80, message = "Shorten the name to 80 characters.")
        String name,

        @NotBlank(message = "Choose a name to sign in with.")
        @Pattern(
                regexp = "[\\p{L}\\p{N}._@-]{2,80}",
                message = "Use 2 to 80 letters, digits, dots, dashes, underscores or @, without blanks.")
        String signIn,

        @NotBlank(message = "Choose a password of 12 characters or more.")
        @Size(max = 200, message = "Shorten the password to 200 characters.")
        String password) {

    static FirstStartForm empty(String zone) {
        return new FirstStartForm(null, null, zone, Hemisphere.NORTH, null, null, null, null);
    }
}
