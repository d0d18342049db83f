/** Bench arithmetic: pots, mixes and what a batch needs. See “Stock, seasons and bench arithmetic” in docs/science.md. */
package garden.vivarium.core.measure;
