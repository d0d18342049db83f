package garden.vivarium.app.stock;

import java.time.LocalDate;

/** A look at a stock plant; what nobody counted is null. */
public record StockLookView(
        LocalDate lookedOn, Integer pieces, Integer shoots, StockState state, String note, String person) {}
