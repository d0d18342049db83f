package garden.vivarium.app.guide;

import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PlantKind;
import org.springframework.stereotype.Component;

/** What a plant is taken for, in words. Templates call it as {@code @kinds}. */
@Component("kinds")
public class KindWords {

    private final Guide guide;

    KindWords(Guide guide) {
        this.guide = guide;
    }

    /** The kind's name; empty where the guide does not know it. */
    public String title(String key) {
        return guide.kind(key).map(PlantKind::title).orElse("");
    }
}
