package garden.vivarium.app.technique;

import garden.vivarium.app.climate.AirRecord;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.compare.FinishedBatch;
import garden.vivarium.core.compare.LearnedClock;
import garden.vivarium.core.compare.Measure;
import garden.vivarium.core.measure.Night;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Batches that are over with what the instruments of their place told while they rooted. */
@Service
class Measured {

    /** Most roots are made, or not, in these. */
    private static final int DAYS = 21;

    /** With fewer days measured than this the mean may be of another week. */
    private static final int FEWEST_DAYS = 14;

    private final JudgedBatches judged;
    private final AirRecord record;
    private final Stock stock;

    Measured(JudgedBatches judged, AirRecord record, Stock stock) {
        this.judged = judged;
        this.record = record;
        this.stock = stock;
    }

    /** All of them, of a plant where one is named, with whatever is known. */
    @Transactional(readOnly = true)
    List<FinishedBatch> batches(String plant) {
        List<FinishedBatch> all = judged.all().stream()
                .filter(b -> plant.isBlank() || b.plant().equals(plant))
                .toList();
        Map<String, NavigableMap<LocalDate, Double>> warmth = warmth(all);
        Optional<Double> latitude = record.latitude();
        return all.stream()
                .map(b -> {
                    Map<Measure, Double> is = new EnumMap<>(Measure.class);
                    is.putAll(b.measures());
                    b.is(Factor.PLACE)
                            .map(warmth::get)
                            .flatMap(days -> mean(days, b.stuckOn()))
                            .ifPresent(w -> is.put(Measure.WARMTH, w));
                    latitude.ifPresent(l -> is.put(Measure.DAYLIGHT, daylight(l, b.stuckOn())));
                    return b.measured(is);
                })
                .toList();
    }

    private Map<String, NavigableMap<LocalDate, Double>> warmth(List<FinishedBatch> batches) {
        Map<String, NavigableMap<LocalDate, Double>> all = new HashMap<>();
        Map<String, LocalDate> since = new HashMap<>();
        batches.forEach(b ->
                b.is(Factor.PLACE).ifPresent(p -> since.merge(p, b.stuckOn(), (x, y) -> x.isBefore(y) ? x : y)));
        Map<String, UUID> places = new HashMap<>();
        for (PlaceView p : stock.places()) {
            places.put(p.name(), p.id());
        }
        since.forEach((place, first) -> {
            NavigableMap<LocalDate, Double> days = new TreeMap<>();
            if (places.containsKey(place)) {
                record.days(places.get(place), first).forEach(d -> days.put(d.day(), d.mean()));
            }
            all.put(place, days);
        });
        return all;
    }

    private static Optional<Double> mean(NavigableMap<LocalDate, Double> days, LocalDate stuck) {
        Map<LocalDate, Double> of = days.subMap(stuck, true, stuck.plusDays(DAYS - 1L), true);
        return of.size() < FEWEST_DAYS
                ? Optional.empty()
                : Optional.of(of.values().stream().mapToDouble(v -> v).average().orElseThrow());
    }

    private static double daylight(double latitude, LocalDate stuck) {
        return IntStream.range(0, DAYS)
                .mapToDouble(d -> 24 - Night.hours(latitude, stuck.plusDays(d)))
                .average()
                .orElseThrow();
    }

    /** The clock that a measure gives, of batches where half were ready by looks. */
    static LearnedClock clock(List<FinishedBatch> batches, Measure measure) {
        return LearnedClock.of(batches.stream()
                .filter(b -> b.measures().containsKey(measure))
                .flatMap(b -> LearnedClock.daysOf(b).stream()
                        .map(d -> new LearnedClock.Timed(
                                b.plant() + ", " + b.method() + ", "
                                        + b.is(Factor.MEDIUM).orElse(""),
                                d,
                                b.measures().get(measure))))
                .toList());
    }
}
