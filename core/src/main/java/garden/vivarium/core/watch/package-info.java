/**
 * While a batch runs: when to look next, whether it is behind, what has stood too long, what will never be ready. Section
 * 6 of the design's science page. Uses {@code evidence} and {@code plan}.
 */
package garden.vivarium.core.watch;
