/**
 * A stock plant's story: its sheet, what it gave beside its sisters, its family, and how young plants become stock plants. Uses
 * {@code stock}, {@code batch}, {@code care}, {@code guide} and {@code platform}.
 */
package garden.vivarium.app.story;
