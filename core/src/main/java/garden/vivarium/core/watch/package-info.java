/**
 * While a batch runs: when to look next, whether it is behind, what has stood too long, what will never be ready. Uses {@code
 * evidence}, {@code looks}, {@code guide} and {@code timing}.
 */
package garden.vivarium.core.watch;
