/**
 * Care: what was done for a batch or a stock plant, what is due, and whether it worked. Publishes {@link
 * garden.vivarium.app.care.CareBook}. Uses {@code platform}.
 */
package garden.vivarium.app.care;
