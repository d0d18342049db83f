/** The guide to read, and the way to data in and out. Uses {@code people} and {@code platform}. */
package garden.vivarium.app.shed;
