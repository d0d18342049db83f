package garden.vivarium.app.stock;

import garden.vivarium.core.stock.MayCut;
import garden.vivarium.core.stock.Regrowth;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/**
 * A stock plant or lot as other modules and pages see it.
 *
 * @param piecesNow pieces it bears now, counted or estimated; null where nobody has ever counted
 * @param estimated whether that is estimated from the last harvest and regrowth
 * @param regrowth from what it is reckoned
 * @param fromBatch the batch that it was a young plant of, or null
 * @param seen the mark of its forms
 */
public record StockPlantView(
        UUID id,
        String code,
        StockKind kind,
        PlantView plant,
        PlaceView place,
        String origin,
        String supplier,
        LocalDate arrivedOn,
        String inspection,
        Integer piecesNow,
        boolean estimated,
        Regrowth regrowth,
        StockState state,
        LocalDate quarantineUntil,
        LocalDate restSeenOn,
        UUID fromBatch,
        Integer fromPiece,
        String note,
        String seen) {

    /** Whether it is in quarantine on the day. */
    public boolean isQuarantined(LocalDate day) {
        return quarantineUntil != null && day.isBefore(quarantineUntil);
    }

    public boolean isLot() {
        return kind == StockKind.LOT;
    }

    /** Whether nothing more can come of it. */
    public boolean isRetired() {
        return state == StockState.RETIRED;
    }

    /** Everything that speaks against taking pieces on the day; a licence may be noted with the plan. */
    public List<MayCut.Finding> mayCut(LocalDate day, String licenceNoted) {
        String licence = licenceNoted != null && !licenceNoted.isBlank() ? licenceNoted : plant.licence();
        return MayCut.judge(
                new MayCut.Plant(
                        plant.protection().rule(),
                        licence,
                        origin,
                        plant.nameSure(),
                        plant.confirmWhen(),
                        quarantineUntil,
                        regrowth.restsUntil().orElse(null),
                        // A lot is bought asleep as a rule; that is no reason against planting it.
                        isLot() && state == StockState.DORMANT ? MayCut.Condition.GROWING : state.condition(),
                        plant.flowersOnce()),
                MayCut.Purpose.SALE,
                day);
    }
}
