package garden.vivarium.app.shed;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.LookKind;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import org.springframework.validation.Errors;

/** When and how to look, as typed, in days. */
record LooksPart(
        @NotNull(message = "{LooksPart.say.on.which.day.to}")
        @Min(value = 1, message = "{LooksPart.the.first.look.is.on}")
        @Max(value = 400, message = "{LooksPart.the.first.look.is.by}")
        Integer first,

        @NotNull(message = "{LooksPart.say.how.many.days.between}")
        @Min(value = 1, message = "{LooksPart.1.day.between.looks.or}")
        @Max(value = 120, message = "{LooksPart.at.most.120.days.between}")
        Integer least,

        @NotNull(message = "{LooksPart.say.how.many.days.between.2}")
        @Min(value = 1, message = "{LooksPart.1.day.between.looks.or}")
        @Max(value = 365, message = "{LooksPart.at.most.365.days.between}")
        Integer most,

        @NotNull(message = "{LooksPart.choose.how.to.look}") LookKind kind) {

    static LooksPart of(Protocol.Looks p) {
        return new LooksPart(p.first(), p.least(), p.most(), p.kind());
    }

    void refuseDisorder(Errors wrong) {
        if (least != null && most != null && most < least) {
            wrong.rejectValue("most", "problem", Messages.text("LooksPart.the.longest.time.between.looks"));
        }
    }

    Protocol.Looks changed() {
        return new Protocol.Looks(first, least, most, kind);
    }
}
