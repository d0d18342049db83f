/**
 * What every subject stands on: tenancy, security, errors, layout and the words in which days and numbers are said. Uses no
 * other module.
 */
package garden.vivarium.app.platform;
