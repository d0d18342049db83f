/** What is wrong with it: from what is seen to likely causes, what to check and what to do. Uses {@code batch}, {@code stock}, {@code care} and {@code platform}. */
package garden.vivarium.app.diagnosis;
