package garden.vivarium.core.guide;

/**
 * What to mind where the act is.
 *
 * @param key its name in the protocols
 * @param text the caution, once and plainly
 */
public record Caution(String key, String text) {}
