package garden.vivarium.app.batch;

import java.time.LocalDate;
import java.util.UUID;

/** Pieces moved on; {@code settled} is null until somebody has looked. */
public record PottingView(
        UUID id, UUID batchId, LocalDate movedOn, int pieces, int youngPlants, Integer settled, LocalDate settledOn) {}
