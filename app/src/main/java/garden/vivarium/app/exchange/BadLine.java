package garden.vivarium.app.exchange;

/**
 * A line of a file that cannot be read.
 *
 * @param line its number, the header being 1
 * @param column its column, or "—" for the line as a whole
 * @param fault what is wrong
 * @param remedy what would do
 */
public record BadLine(long line, String column, String fault, String remedy) {}
