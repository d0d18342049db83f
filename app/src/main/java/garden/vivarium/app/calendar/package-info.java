/** The round and the plans as a calendar: a download, and private addresses that can be withdrawn. Uses {@code batch}, {@code plan}, {@code promise}, {@code care}, {@code stock} and {@code platform}. */
package garden.vivarium.app.calendar;
