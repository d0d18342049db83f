/** The day's walk past everything that needs a hand. Uses {@code batch}, {@code plan}, {@code stock} and {@code platform}. */
package garden.vivarium.app.round;
