/** Bench arithmetic: pots, mixes and what a batch needs. Section 9 of the design's science page. */
package garden.vivarium.core.measure;
