/**
 * A nursery that never was: batches whose truth is known, for the demo nursery and for measuring how far the statistics can
 * be trusted. Uses {@code timing} and {@code looks}.
 */
package garden.vivarium.core.simulate;
