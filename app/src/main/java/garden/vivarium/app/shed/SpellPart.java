package garden.vivarium.app.shed;

import garden.vivarium.app.platform.InUnit;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.measure.Warmth;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.Optional;
import org.springframework.validation.Errors;

/** A range of temperature as typed, in °C, and for how many weeks; all empty for none, the highest empty for one temperature. */
record SpellPart(
        @InUnit(value = Unit.CELSIUS, least = Warmth.COLDEST, most = Warmth.WARMEST)
        Double from,

        @InUnit(value = Unit.CELSIUS, least = Warmth.COLDEST, most = Warmth.WARMEST)
        Double to,

        @Min(value = 1, message = "{SpellPart.1.week.or.more.or}")
        @Max(value = 104, message = "{SpellPart.at.most.104.weeks}")
        Integer weeks) {

    static final SpellPart NONE = new SpellPart(null, null, null);

    static SpellPart of(Warmth w) {
        return new SpellPart(
                w.from(), w.to() == w.from() ? null : w.to(), w.weeks().orElse(null));
    }

    void refuseDisorder(Errors wrong) {
        if (from == null && (to != null || weeks != null)) {
            wrong.rejectValue("from", "problem", Messages.text("SpellPart.give.the.lowest.temperature.too"));
        }
        if (from != null && to != null && to < from) {
            wrong.rejectValue("to", "problem", Messages.text("SpellPart.the.highest.temperature.is.no"));
        }
    }

    Optional<Warmth> warmth() {
        return Optional.ofNullable(from).map(f -> new Warmth(f, to == null ? f : to, Optional.ofNullable(weeks)));
    }
}
