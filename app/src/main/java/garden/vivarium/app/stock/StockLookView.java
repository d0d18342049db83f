package garden.vivarium.app.stock;

import java.time.LocalDate;
import java.util.Map;

/**
 * A look at a stock plant; shoots that nobody counted are null.
 *
 * @param counts how many of which sort of piece were counted, by key, empty for pieces of whatever sort
 */
public record StockLookView(
        LocalDate lookedOn, Map<String, Integer> counts, Integer shoots, StockState state, String note, String person) {

    /** Whether both pieces and shoots were counted. */
    public boolean isBoth() {
        return hasShoots() && !counts.isEmpty();
    }

    /** Whether somebody counted its shoots. */
    public boolean hasShoots() {
        return shoots != null;
    }
}
