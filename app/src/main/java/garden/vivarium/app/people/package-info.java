/** Who works here: nurseries, people, the first start and signing in. Uses {@code platform}. */
package garden.vivarium.app.people;
