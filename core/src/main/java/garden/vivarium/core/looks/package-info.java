/**
 * From looks to intervals: what a batch's dated looks say of each piece, and the tallies that all statistics read. Uses
 * {@code timing} only.
 */
package garden.vivarium.core.looks;
