/** The sample nursery: Cold Slipway, on an island that never was. Uses every other module; none uses it. */
package garden.vivarium.app.demo;
