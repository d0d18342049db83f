package garden.vivarium.app.shed;

import garden.vivarium.app.platform.InUnit;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.timing.Window;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.springframework.validation.Errors;

/** How a milestone is told, and its window, as typed: the days by which one and nine in ten have reached it. */
record MilestonePart(
        @NotBlank(message = "{MilestonePart.say.how.it.is.told}")
        @Size(max = 200, message = "{MilestonePart.shorten.it.to.200.characters}")
        Prose test,

        @InUnit(value = Unit.MILLIMETRE, least = 1, most = 500)
        Integer rootMm,

        Double from,
        Double to) {

    private static final double LONGEST = 3650;

    static MilestonePart of(Protocol.Test p) {
        return new MilestonePart(
                p.test(), p.rootMm().orElse(null), p.days().d10(), p.days().d90());
    }

    void refuseDisorder(Errors wrong) {
        if (from == null || to == null) {
            wrong.rejectValue("to", "problem", Messages.text("MilestonePart.a.window.has.two.ends"));
        } else if (!(from > 0) || !(to > from) || to > LONGEST) {
            wrong.rejectValue("to", "problem", Messages.text("MilestonePart.a.window.runs.from.a"));
        }
    }

    Protocol.Test onto(Protocol.Test before) {
        return new Protocol.Test(before.sign(), test, Optional.ofNullable(rootMm), new Window(from, to));
    }
}
