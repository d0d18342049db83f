package garden.vivarium.app.stock;

import java.time.LocalDate;
import java.util.UUID;

/** A stock plant as other modules and pages see it; {@code piecesNow} is null where nobody has said. */
public record StockPlantView(
        UUID id,
        String code,
        PlantView plant,
        PlaceView place,
        String origin,
        Integer piecesNow,
        StockState state,
        LocalDate quarantineUntil,
        String note) {

    /** Whether it is in quarantine on the day. */
    public boolean isQuarantined(LocalDate day) {
        return quarantineUntil != null && !quarantineUntil.isBefore(day);
    }
}
