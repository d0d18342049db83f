/**
 * Methods, media and protocols: what is known of propagating before a nursery has records of its own. Data in YAML under
 * resources; this package reads and checks it. Uses {@code timing}.
 */
package garden.vivarium.core.guide;
