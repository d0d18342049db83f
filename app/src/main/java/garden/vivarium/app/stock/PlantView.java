package garden.vivarium.app.stock;

import java.util.UUID;

/**
 * A plant as other modules and pages see it; {@code group} is the guide's key, {@code licence} and {@code confirmWhen} are null
 * where nobody has said.
 */
public record PlantView(
        UUID id,
        String name,
        String group,
        Protection protection,
        String licence,
        boolean nameSure,
        String confirmWhen,
        boolean flowersOnce) {}
