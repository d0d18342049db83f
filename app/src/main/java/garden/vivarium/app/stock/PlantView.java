package garden.vivarium.app.stock;

import java.util.UUID;

/** A plant as other modules and pages see it; {@code group} is the guide's key. */
public record PlantView(UUID id, String name, String group, Protection protection) {}
