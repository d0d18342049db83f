/**
 * The guide to read and to change a copy of: protocols, the bench book, schools with this nursery's own evidence. Uses {@code
 * batch}, {@code guide}, {@code people} and {@code platform}.
 */
package garden.vivarium.app.shed;
