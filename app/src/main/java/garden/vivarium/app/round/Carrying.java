package garden.vivarium.app.round;

import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.guide.GuideWords;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What to take along to a place, so that nobody walks twice. */
@Component
class Carrying {

    /** Cautions that mean gloves. */
    private static final Set<String> GLOVES = Set.of(
            "spines", "bristles", "sharp-leaves", "sap", "latex", "bulbs", "poison", "rash", "thorns", "sharp-edges");

    private final GuideLookup lookup;
    private final Guide guide;
    private final GuideWords words;

    Carrying(GuideLookup lookup, Guide guide, GuideWords words) {
        this.lookup = lookup;
        this.guide = guide;
        this.words = words;
    }

    /** Pots by their size with the mix, labels and gloves, in words; empty where bare hands do. */
    List<String> along(List<Item> items) {
        Map<String, Integer> pots = new LinkedHashMap<>();
        int labels = 0;
        boolean gloves = false;
        for (Item item : items) {
            if (item instanceof Item.BatchTask t) {
                Optional<Protocol> protocol = lookup.protocol(
                        t.task().batch().protocol(),
                        t.task().batch().protocolVersion(),
                        t.task().batch().way());
                gloves |= isForGloves(t, protocol);
                if (item.sort() == Sort.POT) {
                    pots.merge(
                            protocol.map(Protocol::potting)
                                    .map(p -> Messages.text("Carrying.pot", "pot", words.pot(p.pot()), "mix", p.mix()))
                                    .orElse("pots"),
                            t.task().youngPlants(),
                            Integer::sum);
                    labels++;
                } else if (item.sort() == Sort.STICK) {
                    labels++;
                }
            } else if (item.sort() == Sort.START) {
                labels++;
            }
        }
        List<String> along = new ArrayList<>();
        pots.forEach((pot, number) -> along.add(Messages.text("Carrying.pots", "number", number, "pot", pot)));
        if (labels > 0) {
            along.add(Messages.text("Carrying.labels", "labels", labels));
        }
        if (gloves) {
            along.add(Messages.text("Carrying.gloves"));
        }
        return along;
    }

    private boolean isForGloves(Item.BatchTask task, Optional<Protocol> protocol) {
        return task.sort() != Sort.LOOK
                && task.sort() != Sort.ASK
                && protocol.map(p -> guide.cautions(task.task().batch().way().grown(), p)).orElse(List.of()).stream()
                        .anyMatch(c -> GLOVES.contains(c.key()));
    }
}
