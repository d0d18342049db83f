/**
 * What may be cut, how much of it and when: regrowth after a harvest, rest, quarantine, and the rules that stop mistakes. Uses
 * {@code guide}.
 */
package garden.vivarium.core.stock;
