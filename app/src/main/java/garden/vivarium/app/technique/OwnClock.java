package garden.vivarium.app.technique;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.climate.AirRecord;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.compare.FinishedBatch;
import garden.vivarium.core.compare.LearnedClock;
import garden.vivarium.core.compare.Measure;
import garden.vivarium.core.measure.TemperatureDifference;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The clock that this nursery's own readings teach, for whoever plans: where it is fit to plan by, days are shorter in a warmer place. */
@Service
public class OwnClock {

    /** So many days tell how warm a place is now. */
    private static final int DAYS = 14;

    private static final int FEWEST_DAYS = 10;
    private static final int FEWEST_BATCHES = 2;

    /** Warmth farther from what was tried than this, in °C, is told by no line. Own round figure. */
    private static final double FARTHEST = 6;

    /** A change of the days below a twentieth is none that anybody plans by. */
    private static final double WORTH_SAYING = 0.05;

    private final Measured measured;
    private final AirRecord record;
    private final BatchBook book;
    private final CurrentNursery nursery;
    private final Today today;
    private final Map<UUID, Held> held = new ConcurrentHashMap<>();

    OwnClock(Measured measured, AirRecord record, BatchBook book, CurrentNursery nursery, Today today) {
        this.measured = measured;
        this.record = record;
        this.book = book;
        this.nursery = nursery;
        this.today = today;
    }

    private record Held(long stamp, LocalDate day, List<FinishedBatch> batches, LearnedClock clock) {}

    /**
     * What a place does to the days of a plant.
     *
     * @param factor that its days are multiplied by
     * @param warmer by how many °C the place is warmer now than where this plant's batches rooted; below 0 where it is colder
     */
    public record Pace(double factor, double warmer) {

        /** By how much it is warmer. */
        public TemperatureDifference difference() {
            return TemperatureDifference.ofKelvin(warmer);
        }
    }

    /** Of a plant in a place, as it is there now; empty where no clock is fit to plan by, or the place or the plant's batches were not measured. */
    @Transactional(readOnly = true)
    public Optional<Pace> pace(String plant, UUID place) {
        if (!record.isAny()) {
            return Optional.empty();
        }
        Held now = learned();
        if (!now.clock().isFitToPlanBy()) {
            return Optional.empty();
        }
        double[] usual = now.batches().stream()
                .filter(b -> b.plant().equals(plant))
                .map(b -> b.measures().get(Measure.WARMTH))
                .filter(Objects::nonNull)
                .mapToDouble(w -> w)
                .toArray();
        List<AirRecord.Day> days = record.days(place, today.date().minusDays(DAYS));
        OptionalDouble warmth = days.stream().mapToDouble(AirRecord.Day::mean).average();
        if (usual.length < FEWEST_BATCHES || days.size() < FEWEST_DAYS || warmth.isEmpty()) {
            return Optional.empty();
        }
        double warmer = warmth.getAsDouble() - Arrays.stream(usual).average().orElseThrow();
        double told = Math.max(-FARTHEST, Math.min(FARTHEST, warmer));
        double factor = now.clock().factor(told);
        return Math.abs(factor - 1) < WORTH_SAYING ? Optional.empty() : Optional.of(new Pace(factor, warmer));
    }

    private Held learned() {
        UUID of = nursery.required();
        long stamp = book.stamp();
        Held before = held.get(of);
        if (before != null && before.stamp() == stamp && before.day().equals(today.date())) {
            return before;
        }
        List<FinishedBatch> batches = measured.batches("");
        Held now = new Held(stamp, today.date(), batches, Measured.clock(batches, Measure.WARMTH));
        held.put(of, now);
        return now;
    }

    @EventListener
    public void returned(NurseryReturned back) {
        held.remove(back.nursery());
    }
}
