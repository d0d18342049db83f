package garden.vivarium.app.stock;

import garden.vivarium.core.Grown;
import garden.vivarium.core.guide.StockNames;
import java.util.UUID;

/**
 * A plant as other modules and pages see it; {@code kind} and {@code group} are the guide's keys, the kind empty
 * where the guide does not know it, {@code licence} and {@code confirmWhen} are null
 * where nobody has said.
 */
public record PlantView(
        UUID id,
        String name,
        String kind,
        String group,
        Protection protection,
        String licence,
        boolean nameSure,
        String confirmWhen,
        boolean flowersOnce) {

    /** As far as growing it goes. */
    public Grown grown() {
        return new Grown(name, kind, group);
    }

    /** As far as its names go. */
    public StockNames.Standing<PlantView> called() {
        return new StockNames.Standing<>(this, name, kind, group);
    }
}
