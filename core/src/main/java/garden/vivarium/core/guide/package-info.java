/**
 * Methods, media and protocols, the bench book, what goes wrong, and where growers disagree: what is known of propagating before
 * a nursery has records of its own. Data in YAML under resources; this package reads and checks it. Uses {@code timing}.
 */
package garden.vivarium.core.guide;
