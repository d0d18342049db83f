package garden.vivarium.app.shed;

import garden.vivarium.app.platform.InUnit;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.PotSize;
import garden.vivarium.core.measure.Unit;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.springframework.validation.Errors;

/** Pot, mix, water and feed after the move, as typed. */
record PottingPart(
        @InUnit(value = Unit.CENTIMETRE, least = 1, most = 200)
        Double acrossCm,

        @InUnit(value = Unit.LITRE, least = 0.01, most = 1000)
        Double litres,

        @Size(max = 100, message = "{PottingPart.shorten.it.to.100.characters}")
        String otherwise,

        @NotBlank(message = "{PottingPart.say.what.mix}")
        @Size(max = 200, message = "{PottingPart.shorten.it.to.200.characters}")
        String mix,

        @NotNull(message = "{PottingPart.say.how.many.to.a}")
        @Min(value = 1, message = "{PottingPart.1.to.a.pot.or}")
        @Max(value = 50, message = "{PottingPart.at.most.50.to.a}")
        Integer perPot,

        @NotNull(message = "{PottingPart.say.how.many.days.until}")
        @Min(value = 0, message = "{PottingPart.0.days.or.more}")
        @Max(value = 60, message = "{PottingPart.at.most.60.days}")
        Integer waitForWater,

        @NotNull(message = "{PottingPart.say.after.how.many.weeks}")
        @Min(value = 0, message = "{PottingPart.0.weeks.or.more}")
        @Max(value = 104, message = "{PottingPart.at.most.104.weeks}")
        Integer weeksBeforeFeed) {

    static PottingPart of(Protocol.Potting p) {
        return new PottingPart(
                p.pot().acrossMm().map(mm -> mm / 10.0).orElse(null),
                p.pot().litres().orElse(null),
                p.pot().otherwise(),
                p.mix(),
                p.perPot(),
                p.waitForWater(),
                p.weeksBeforeFeed());
    }

    void refuseDisorder(Errors wrong) {
        if (acrossCm != null && litres != null) {
            wrong.rejectValue("litres", "problem", Messages.text("PottingPart.a.pot.goes.by.its"));
        }
        if (acrossCm == null && litres == null && words().isEmpty()) {
            wrong.rejectValue("acrossCm", "problem", Messages.text("PottingPart.say.what.pot.its.width"));
        }
    }

    Protocol.Potting changed() {
        Optional<Integer> acrossMm = Optional.ofNullable(acrossCm).map(cm -> (int) Math.round(10 * cm));
        PotSize pot = new PotSize(acrossMm, Optional.ofNullable(litres), words());
        return new Protocol.Potting(pot, mix, perPot, waitForWater, weeksBeforeFeed);
    }

    private String words() {
        return otherwise == null ? "" : otherwise.strip();
    }
}
