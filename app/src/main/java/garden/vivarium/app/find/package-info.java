/** One search over label codes, plants, stock plants and places. Uses {@code batch}, {@code stock} and {@code platform}. */
package garden.vivarium.app.find;
