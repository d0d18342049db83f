/** Which way works better, and how sure. Uses {@code batch} and {@code platform}. */
package garden.vivarium.app.technique;
