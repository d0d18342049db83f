package garden.vivarium.core.simulate;

import garden.vivarium.core.timing.Window;
import java.util.Optional;

/**
 * What is true of a way in a simulated nursery.
 *
 * @param rate mean share of pieces that become ready, 0 to 1, both excluded
 * @param rho spread of the rate between batches, 0 to 1, both excluded
 * @param tau spread of ln time between batches, 0 and up
 * @param firstSign window of first sign, where there is one
 * @param ready window of ready
 * @param lostShare share of failing pieces that are lost in sight rather than standing on, 0 to 1
 */
public record TrueRates(
        double rate, double rho, double tau, Optional<Window> firstSign, Window ready, double lostShare) {}
