/**
 * What can be cut, and from what: plants, stock plants and the places where things stand. Publishes {@link
 * garden.vivarium.app.stock.Stock}. Uses {@code platform} and {@code people}.
 */
package garden.vivarium.app.stock;
