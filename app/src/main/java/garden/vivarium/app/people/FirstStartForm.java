package garden.vivarium.app.people;

import garden.vivarium.core.timing.Hemisphere;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;

/** What the first-start page asks. */
record FirstStartForm(
        @NotBlank(message = "{FirstStartForm.give.the.code.that.the}")
        @Size(max = 20, message = "{FirstStartForm.the.code.has.8.letters}")
        String code,

        @NotBlank(message = "{FirstStartForm.give.the.nursery.a.name}")
        @Size(max = 120, message = "{FirstStartForm.shorten.the.name.to.120}")
        String nursery,

        @NotBlank(message = "{FirstStartForm.choose.the.time.zone}")
        String zone,

        @NotNull(message = "{FirstStartForm.say.which.half.of.the}")
        Hemisphere hemisphere,

        String currency,

        @NotBlank(message = "{FirstStartForm.say.how.you.are.called}")
        @Size(max = 80, message = "{FirstStartForm.shorten.the.name.to.80}")
        String name,

        @NotBlank(message = "{FirstStartForm.choose.a.name.to.sign}")
        @Pattern(regexp = "[\\p{L}\\p{N}._@-]{2,80}", message = "{FirstStartForm.use.2.to.80.letters}")
        String signIn,

        @NotBlank(message = "{FirstStartForm.choose.a.password.of.12}")
        @Size(max = 200, message = "{FirstStartForm.shorten.the.password.to.200}")
        String password) {

    static FirstStartForm empty(String zone) {
        return new FirstStartForm(null, null, zone, Hemisphere.NORTH, null, null, null, null);
    }
}
