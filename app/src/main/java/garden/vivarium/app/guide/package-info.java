/**
 * The guide as a nursery has it: the shipped protocols, its own, and every version that batches were stuck under. Publishes
 * {@link garden.vivarium.app.guide.Protocols}. Uses {@code platform}.
 */
package garden.vivarium.app.guide;
