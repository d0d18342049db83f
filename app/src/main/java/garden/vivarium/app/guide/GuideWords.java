package garden.vivarium.app.guide;

import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.PotSize;
import garden.vivarium.core.measure.Spacing;
import garden.vivarium.core.measure.Warmth;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The figures of a protocol in words, quantities in the units of whoever reads. Templates call it as {@code @guideWords}. */
@Component("guideWords")
public class GuideWords {

    private static final double MM_PER_CM = 10;

    private final Messages messages;
    private final Measures measures;

    GuideWords(Messages messages, Measures measures) {
        this.messages = messages;
        this.measures = measures;
    }

    /** "none: it washes off", "optional: 0.3%". */
    public String hormone(Protocol.Hormone hormone) {
        return messages.say("guide.hormone." + hormone.need(), "what", hormone.what());
    }

    /** "18 to 22 °C, base 20 °C", "20 °C for 8 weeks, then 5 °C for 6 weeks", "outdoors". */
    public String warmth(Protocol.Air air) {
        List<String> parts = new ArrayList<>();
        if (!air.warmth().isEmpty()) {
            parts.add(air.warmth().stream()
                    .map(this::spell)
                    .collect(Collectors.joining(messages.say("guide.warmth.then"))));
        }
        air.base().ifPresent(b -> parts.add(messages.say("guide.warmth.base", "warmth", spell(b))));
        if (!air.remark().isBlank()) {
            parts.add(measures.told(air.remark()));
        }
        return String.join(", ", parts);
    }

    private String spell(Warmth w) {
        String range = measures.told(w.range());
        return w.weeks()
                .map(weeks -> messages.say("guide.warmth.for", "warmth", range, "weeks", weeks))
                .orElse(range);
    }

    /** "3 cm apart", "4 cm apart, set firm", "one to a cell". */
    public String spacing(Spacing spacing) {
        return spacing.apartMm()
                .map(mm -> messages.say("guide.apart", "apart", measures.centimetres(mm / MM_PER_CM))
                        + (spacing.words().isEmpty() ? "" : ", " + spacing.words()))
                .orElse(spacing.words());
    }

    /** "9 cm", "2 L or lined out", "open ground". */
    public String pot(PotSize pot) {
        List<String> parts = new ArrayList<>();
        pot.acrossMm().ifPresent(mm -> parts.add(measures.centimetres(mm / MM_PER_CM)));
        pot.litres().ifPresent(l -> parts.add(measures.litres(l)));
        if (!pot.otherwise().isEmpty()) {
            parts.add(pot.otherwise());
        }
        return String.join(messages.say("guide.pot.or"), parts);
    }
}
