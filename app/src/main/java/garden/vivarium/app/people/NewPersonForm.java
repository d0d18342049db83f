package garden.vivarium.app.people;

import garden.vivarium.app.platform.Role;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;

/** Somebody to be let in. */
record NewPersonForm(
        @NotBlank(message = "{NewPersonForm.say.how.they.are.called}")
        @Size(max = 80, message = "{NewPersonForm.shorten.the.name.to.80}")
        String name,

        @NotBlank(message = "{NewPersonForm.choose.a.name.for.them}")
        @Pattern(regexp = "[\\p{L}\\p{N}._@-]{2,80}", message = "{NewPersonForm.use.2.to.80.letters}")
        String signIn,

        @Size(max = 200, message = "{NewPersonForm.shorten.the.password.to.200}")
        String password,

        @NotNull(message = "{NewPersonForm.say.what.they.may.do}")
        Role role) {

    static final NewPersonForm EMPTY = new NewPersonForm(null, null, null, Role.GROWER);
}
