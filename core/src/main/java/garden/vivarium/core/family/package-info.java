/** Who came from whom, and how to lay that out so that it stays readable. Uses nothing but plain Java. */
package garden.vivarium.core.family;
