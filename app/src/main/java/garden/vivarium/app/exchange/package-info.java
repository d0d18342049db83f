/** Open formats in: a nursery's own past from files. Uses {@code batch}, {@code stock} and {@code platform}. */
package garden.vivarium.app.exchange;
