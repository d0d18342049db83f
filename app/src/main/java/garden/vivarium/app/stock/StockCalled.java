package garden.vivarium.app.stock;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.StockNames;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells which stock plant a typed name means. */
@Component
public class StockCalled {

    /** Names of so many nurseries are kept read. */
    private static final int MOST_NURSERIES = 40;

    private final Guide guide;
    private final KindsCalled kinds;
    private final CurrentNursery nursery;
    private final Cache<UUID, StockNames<UUID>> known =
            Caffeine.newBuilder().maximumSize(MOST_NURSERIES).build();

    StockCalled(Guide guide, KindsCalled kinds, CurrentNursery nursery) {
        this.guide = guide;
        this.kinds = kinds;
        this.nursery = nursery;
    }

    /**
     * What a name means among these plants.
     *
     * @return ids of those that are meant, the fullest of one name first
     */
    public StockNames.Reading<UUID> read(String typed, List<StockPlantView> live) {
        List<StockNames.Standing<UUID>> standing = live.stream()
                .sorted(Comparator.comparingInt((StockPlantView s) -> s.piecesNow() == null ? 0 : -s.piecesNow()))
                .map(s -> new StockNames.Standing<>(
                        s.id(), s.plant().name(), s.plant().kind(), s.plant().group()))
                .toList();
        UUID here = nursery.required();
        Map<String, PlantKind> own = kinds.own();
        StockNames<UUID> names = known.getIfPresent(here);
        if (names == null || !names.isOf(standing, own)) {
            names = new StockNames<>(guide, standing, own);
            known.put(here, names);
        }
        return names.read(typed);
    }
}
