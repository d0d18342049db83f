package garden.vivarium.app.plan;

import garden.vivarium.app.bench.Ribbon;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.plan.Making;

/**
 * What could be made of a plant by one way.
 *
 * @param minutes minutes of work, by the protocol
 */
record MakingRow(Protocol protocol, Making making, Ribbon ribbon, int minutes) {}
