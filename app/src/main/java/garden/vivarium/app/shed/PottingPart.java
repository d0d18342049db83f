package garden.vivarium.app.shed;

import garden.vivarium.app.platform.InUnit;
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

        @Size(max = 100, message = "Shorten it to 100 characters.")
        String otherwise,

        @NotBlank(message = "Say what mix.") @Size(max = 200, message = "Shorten it to 200 characters.")
        String mix,

        @NotNull(message = "Say how many to a pot.")
        @Min(value = 1, message = "1 to a pot or more.")
        @Max(value = 50, message = "At most 50 to a pot.")
        Integer perPot,

        @NotNull(message = "Say how many days until it is watered; 0 for at once.")
        @Min(value = 0, message = "0 days or more.")
        @Max(value = 60, message = "At most 60 days.")
        Integer waitForWater,

        @NotNull(message = "Say after how many weeks it is fed.")
        @Min(value = 0, message = "0 weeks or more.")
        @Max(value = 104, message = "At most 104 weeks.")
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
            wrong.rejectValue("litres", "problem", "A pot goes by its width or by what it holds; leave one empty.");
        }
        if (acrossCm == null && litres == null && words().isEmpty()) {
            wrong.rejectValue(
                    "acrossCm", "problem", "Say what pot: its width, what it holds, or where they go instead.");
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
