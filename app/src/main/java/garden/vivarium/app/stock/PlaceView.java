package garden.vivarium.app.stock;

import garden.vivarium.core.timing.Climate;
import java.util.UUID;

/** A place as other modules and pages see it; {@code seen} is the mark of its forms. */
public record PlaceView(UUID id, String name, Climate climate, int walkOrder, Double trays, String seen) {}
