package garden.vivarium.app.shed;

import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.LookKind;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import org.springframework.validation.Errors;

/** When and how to look, as typed, in days. */
record LooksPart(
        @NotNull(message = "Say on which day to look first.")
        @Min(value = 1, message = "The first look is on day 1 or later.")
        @Max(value = 400, message = "The first look is by day 400.")
        Integer first,

        @NotNull(message = "Say how many days between looks at least.")
        @Min(value = 1, message = "1 day between looks or more.")
        @Max(value = 120, message = "At most 120 days between looks.")
        Integer least,

        @NotNull(message = "Say how many days between looks at most.")
        @Min(value = 1, message = "1 day between looks or more.")
        @Max(value = 365, message = "At most 365 days between looks.")
        Integer most,

        @NotNull(message = "Choose how to look.") LookKind kind) {

    static LooksPart of(Protocol.Looks p) {
        return new LooksPart(p.first(), p.least(), p.most(), p.kind());
    }

    void refuseDisorder(Errors wrong) {
        if (least != null && most != null && most < least) {
            wrong.rejectValue("most", "problem", "The longest time between looks is no shorter than the shortest.");
        }
    }

    Protocol.Looks changed() {
        return new Protocol.Looks(first, least, most, kind);
    }
}
