package garden.vivarium.app.shed;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Warmth;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import org.springframework.validation.Errors;

/**
 * Cover, warmth, humidity and light as typed.
 *
 * @param warmth spells of the air, in order; there is always room for two
 * @param base warmth from below
 */
record AirPart(
        @NotBlank(message = "{AirPart.say.whether.it.is.covered}")
        @Size(max = 200, message = "{AirPart.shorten.it.to.200.characters}")
        String cover,

        @Valid List<SpellPart> warmth,

        @Valid SpellPart base,

        @Size(max = 200, message = "{AirPart.shorten.it.to.200.characters}")
        Prose remark,

        @NotBlank(message = "{AirPart.say.how.humid}")
        @Size(max = 100, message = "{AirPart.shorten.it.to.100.characters}")
        String humidity,

        @NotBlank(message = "{AirPart.say.how.light}")
        @Size(max = 100, message = "{AirPart.shorten.it.to.100.characters}")
        String light,

        @NotNull(message = "{AirPart.say.how.many.hours.of}")
        @Min(value = 0, message = "{AirPart.0.hours.or.more}")
        @Max(value = 24, message = "{AirPart.at.most.24.hours}")
        Integer lampHours) {

    private static final int SPELLS = 2;

    AirPart {
        List<SpellPart> spells = new ArrayList<>(warmth == null ? List.of() : warmth);
        while (spells.size() < SPELLS) {
            spells.add(SpellPart.NONE);
        }
        warmth = List.copyOf(spells);
        base = base == null ? SpellPart.NONE : base;
    }

    static AirPart of(Protocol.Air p) {
        return new AirPart(
                p.cover(),
                p.warmth().stream().map(SpellPart::of).toList(),
                p.base().map(SpellPart::of).orElse(SpellPart.NONE),
                p.remark(),
                p.humidity(),
                p.light(),
                p.lampHours());
    }

    void refuseDisorder(Errors wrong) {
        for (int i = 0; i < warmth.size(); i++) {
            wrong.pushNestedPath("warmth[" + i + "]");
            warmth.get(i).refuseDisorder(wrong);
            wrong.popNestedPath();
        }
        wrong.pushNestedPath("base");
        base.refuseDisorder(wrong);
        wrong.popNestedPath();
        if (warmth.stream().allMatch(s -> s.from() == null) && words().isBlank()) {
            wrong.rejectValue("remark", "problem", Messages.text("AirPart.say.how.warm.in.figures"));
        }
    }

    Protocol.Air changed() {
        return new Protocol.Air(cover, spells(), base.warmth(), words(), humidity, light, lampHours);
    }

    private List<Warmth> spells() {
        return warmth.stream().flatMap(s -> s.warmth().stream()).toList();
    }

    private Prose words() {
        return remark == null ? Prose.of("") : remark;
    }
}
