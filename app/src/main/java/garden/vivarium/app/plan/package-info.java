/**
 * So many, by then, this sure: ways compared, plans committed, and plans turned into batches. Publishes {@link
 * garden.vivarium.app.plan.Plans}. Uses {@code batch}, {@code stock}, {@code people} and {@code platform}.
 */
package garden.vivarium.app.plan;
