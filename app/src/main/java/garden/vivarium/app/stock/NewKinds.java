package garden.vivarium.app.stock;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.timing.Climate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plants of kinds that a nursery has none of, added by their kind alone. */
@Service
public class NewKinds {

    private final Stock stock;
    private final Guide guide;

    NewKinds(Stock stock, Guide guide) {
        this.stock = stock;
        this.guide = guide;
    }

    /**
     * Adds a stock plant of a kind, uncounted, at the first place of the walk.
     *
     * @param key of the kind
     * @throws InvalidField if the guide has no such kind
     */
    @Transactional
    public StockPlantView add(String key) {
        PlantKind kind =
                guide.kind(key).orElseThrow(() -> new InvalidField("kind", Messages.text("Plants.no.such.kind")));
        List<PlaceView> places = stock.places();
        StockPlantForm.Stands stands = places.isEmpty()
                ? new StockPlantForm.Stands(Messages.text("NewKinds.place"), Climate.HEATED)
                : new StockPlantForm.Stands(places.get(0).name(), places.get(0).climate());
        return stock.add(new StockPlantForm(
                new StockPlantForm.Name(kind.title(), kind.key(), null, false, null, false),
                new StockPlantForm.Rights(Protection.FREE, null),
                StockKind.PLANT,
                null,
                stands,
                new StockPlantForm.Condition(null, StockState.GROWING, null),
                null));
    }
}
