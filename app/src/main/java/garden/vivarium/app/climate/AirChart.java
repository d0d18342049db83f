package garden.vivarium.app.climate;

import garden.vivarium.app.platform.Measures;
import garden.vivarium.core.measure.Night;
import garden.vivarium.core.measure.Temperature;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.measure.Warmth;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What the script draws of the air of a place.
 *
 * @param from first instant
 * @param to last instant
 * @param step hours from one point to the next: 1, or 24 where there are many
 * @param unit of warmth, by which whoever reads measures
 * @param hours of it
 * @param bands what batches there want, each from and to
 * @param nights from and to, in hours since {@code from}; none where nobody said where on the globe it is
 */
record AirChart(
        Instant from, Instant to, int step, String unit, List<Hour> hours, List<Band> bands, List<double[]> nights) {

    private static final int DAY = 24;

    /** An hour since the first, with its lowest, mean and highest warmth, humidity in per cent and light of full sun, or null. */
    record Hour(long at, double low, double mean, double high, Double humid, Double light) {}

    /** What some want: label codes, from, to. */
    record Band(String codes, double from, double to) {}

    static AirChart of(PlaceAir air, Optional<Double> latitude, Measures measures) {
        Instant from = air.from();
        boolean byDay = air.byDay();
        Instant to = air.hours().isEmpty()
                ? from.plus(1, ChronoUnit.DAYS)
                : air.hours().get(air.hours().size() - 1).at().plus(byDay ? DAY / 2 : 1, ChronoUnit.HOURS);
        List<Hour> hours = air.hours().stream()
                .map(h -> new Hour(
                        ChronoUnit.HOURS.between(from, h.at()),
                        drawn(shown(h.coldest(), measures)),
                        drawn(shown(h.mean(), measures)),
                        drawn(shown(h.warmest(), measures)),
                        drawn(h.humidity()),
                        drawn(h.light())))
                .toList();
        List<Band> bands = new ArrayList<>();
        for (PlaceAir.Wants w : air.wants()) {
            w.wanted()
                    .warmth()
                    .filter(x -> x.from() > Warmth.COLDEST)
                    .ifPresent(x -> add(bands, w.batch().code(), shown(x.from(), measures), shown(x.to(), measures)));
        }
        return new AirChart(
                from,
                to,
                byDay ? DAY : 1,
                measures.unit(Unit.CELSIUS),
                hours,
                bands,
                byDay ? List.of() : latitude.map(l -> nights(l, from, to)).orElse(List.of()));
    }

    /** As whoever reads measures, to a tenth. */
    private static double shown(double celsius, Measures measures) {
        return Math.round(10 * measures.shown(Temperature.ofCelsius(celsius))) / 10.0;
    }

    /** To two places: no line is drawn finer. */
    private static Double drawn(Double value) {
        return value == null ? null : Math.round(100 * value) / 100.0;
    }

    private static void add(List<Band> bands, String code, double from, double to) {
        for (int i = 0; i < bands.size(); i++) {
            Band b = bands.get(i);
            if (b.from() == from && b.to() == to) {
                bands.set(i, new Band(b.codes() + ", " + code, b.from(), b.to()));
                return;
            }
        }
        bands.add(new Band(code, from, to));
    }

    private static List<double[]> nights(double latitude, Instant from, Instant to) {
        List<double[]> nights = new ArrayList<>();
        LocalDate day = from.atOffset(ZoneOffset.UTC).toLocalDate();
        while (day.minusDays(1).atStartOfDay().toInstant(ZoneOffset.UTC).isBefore(to)) {
            double half = Night.hours(latitude, day) / 2;
            double midnight =
                    ChronoUnit.MINUTES.between(from, day.atStartOfDay().toInstant(ZoneOffset.UTC)) / 60.0;
            nights.add(new double[] {midnight - half, midnight + half});
            day = day.plusDays(1);
        }
        return nights;
    }
}
