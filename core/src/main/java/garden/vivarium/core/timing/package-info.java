/**
 * The words of time: batch and piece codes, milestones, kinds of look, windows, seasons and climates. Values only; uses
 * no other package of the core.
 */
package garden.vivarium.core.timing;
