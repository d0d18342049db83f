/**
 * What the tallies of many batches say: the curve, the strike rate of a way with all that is borrowed from its
 * neighbours, how long it takes, and how far to trust each. Uses {@code timing} and {@code looks}.
 */
package garden.vivarium.core.evidence;
