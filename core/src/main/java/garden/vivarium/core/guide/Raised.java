package garden.vivarium.core.guide;

/**
 * How a kind is raised that is not raised by pieces.
 *
 * @param key its key
 * @param by of what: "seed", "spores", "grafting"
 * @param why no piece makes a plant of it, or hardly ever
 * @param instead what people do
 */
public record Raised(String key, String by, String why, String instead) {}
