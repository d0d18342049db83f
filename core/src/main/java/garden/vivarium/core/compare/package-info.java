/**
 * Which of two ways is better, and how sure: differences between arms with all that batches share, what else differed, how large a trial must
 * be, how it is laid out and read, and what is worth trying next. Uses {@code evidence}, {@code looks} and {@code timing}.
 */
package garden.vivarium.core.compare;
