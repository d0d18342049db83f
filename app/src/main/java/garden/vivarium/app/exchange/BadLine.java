package garden.vivarium.app.exchange;

import garden.vivarium.core.looks.Refusal;

/**
 * A line of a file that cannot be read.
 *
 * @param line its number, the header being 1
 * @param column its column, or "—" for the line as a whole
 * @param fault what is wrong
 * @param remedy what would do
 */
public record BadLine(long line, String column, String fault, String remedy) {

    /** A line whose look cannot be true; the refusal's own field decides the column where the file has one of that name. */
    static BadLine of(long line, String otherwise, Refusal refusal) {
        String[] parts = refusal.getMessage().split("; ", 2);
        String column = switch (refusal.field()) {
            case "day" -> "looked_on";
            case "piece" -> otherwise;
            default -> refusal.field();
        };
        return new BadLine(
                line,
                column,
                parts.length > 1 ? parts[0] + "." : parts[0],
                parts.length > 1 ? Character.toUpperCase(parts[1].charAt(0)) + parts[1].substring(1) : "Correct it.");
    }
}
