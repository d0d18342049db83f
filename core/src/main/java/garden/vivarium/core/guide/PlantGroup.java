package garden.vivarium.core.guide;

/**
 * Plants that propagate alike.
 *
 * @param key the short name kept with a plant
 * @param words as growers read it
 * @param examples a few genera that belong there
 */
public record PlantGroup(String key, String words, String examples) {}
