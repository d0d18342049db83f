/** Dividing: a plant as it lies on the bench, every set of cuts, and what each piece is worth. */
package garden.vivarium.core.divide;
