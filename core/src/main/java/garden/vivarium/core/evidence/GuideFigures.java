package garden.vivarium.core.evidence;

import garden.vivarium.core.timing.Window;
import java.util.Optional;

/**
 * What the guide says of a way in season, before any batch.
 *
 * @param rate 0 to 1, both excluded
 * @param firstSign window; absent where there is no first sign
 * @param ready window
 */
public record GuideFigures(double rate, Optional<Window> firstSign, Window ready) {}
