package garden.vivarium.app.stock;

import java.util.UUID;

/**
 * What a nursery has made its usual way.
 *
 * @param plant of which plant; empty for all
 * @param factor in what respect, as a constant of the core's factors
 * @param what which, as its record says it
 * @param why the sentence on the strength of which
 */
public record UsualWayView(UUID id, String plant, String factor, String what, String why, String person) {}
