package garden.vivarium.app.stock;

import java.time.LocalDate;

/** Pieces cut on a day; {@code hard} means to the lowest live node. */
public record HarvestView(String sort, LocalDate cutOn, int pieces, boolean hard) {}
