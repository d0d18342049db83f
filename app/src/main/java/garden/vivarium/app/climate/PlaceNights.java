package garden.vivarium.app.climate;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.watch.Nights;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Which plants and batches answer to the length of the nights where the nursery is; none where nobody said where that is. */
@Component
class PlaceNights {

    private final AirRecord record;
    private final Stock stock;
    private final Today today;

    PlaceNights(AirRecord record, Stock stock, Today today) {
        this.record = record;
        this.stock = stock;
        this.today = today;
    }

    /** How the plants of this nursery that answer to nights stand to them tonight, one line a kind; none where nobody said where it is. */
    @Transactional(readOnly = true)
    List<PlaceAir.NightOf> ofPlants() {
        Optional<Double> latitude = record.latitude();
        Map<String, PlaceAir.NightOf> found = new TreeMap<>();
        if (latitude.isPresent()) {
            stock.plants()
                    .forEach(p -> Nights.of(p.kind(), p.name())
                            .ifPresent(a -> found.putIfAbsent(
                                    p.name(),
                                    new PlaceAir.NightOf(
                                            p.name(),
                                            a.critical(),
                                            a.effect() == Nights.Effect.REST,
                                            Nights.stands(a, latitude.get(), today.date())))));
        }
        return List.copyOf(found.values());
    }

    /** Which of some batches answer to the nights of these days, so far north. */
    List<PlaceAir.Night> of(List<BatchView> batches, Optional<Double> latitude) {
        LocalDate day = today.date();
        if (latitude.isEmpty()) {
            return List.of();
        }
        List<PlaceAir.Night> nights = new ArrayList<>();
        for (BatchView b : batches) {
            Nights.of(b.way().kind(), b.plant())
                    .flatMap(a -> Nights.said(a, latitude.get(), day))
                    .ifPresent(s -> nights.add(new PlaceAir.Night(b.code(), b.plant(), s)));
        }
        return nights;
    }
}
