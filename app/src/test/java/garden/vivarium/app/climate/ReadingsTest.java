package garden.vivarium.app.climate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.watch.AirWatch;
import garden.vivarium.core.watch.PlaceFit;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Readings: each once, by hour and by day, let go after their time; and what they say of batches. */
class ReadingsTest extends AtANursery {

    @Autowired
    private Measures measures;

    @Autowired
    private Readings readings;

    @Autowired
    private AirRecord record;

    @Autowired
    private PlaceAirs airs;

    @Autowired
    private AirAlarms alarms;

    private PlaceView bench;
    private Instant now;

    @BeforeEach
    void aBench() {
        bench = in(() -> stock.placeNamed("Bench", Climate.HEATED));
        now = Instant.parse(TODAY + "T12:00:00Z");
    }

    private Reading at(long minutesAgo, double warmth) {
        return new Reading(now.minus(minutesAgo, ChronoUnit.MINUTES), warmth, 70.0, 0.2);
    }

    private List<Reading> everyTenMinutes(int hours, double warmth) {
        return IntStream.range(0, hours * 6)
                .mapToObj(i -> at(10L * i + 1, warmth))
                .toList();
    }

    @Test
    void theSameReadingTwiceInWhateverOrderIsOne() {
        List<Reading> all = new ArrayList<>(everyTenMinutes(30, 18));
        assertThat(in(() -> readings.keep(bench.id(), all.subList(0, 100)))).isEqualTo(100);
        Collections.shuffle(all, new Random(4));
        assertThat(in(() -> readings.keep(bench.id(), all))).isEqualTo(80);
        assertThat(in(() -> readings.keep(bench.id(), all))).isZero();
        List<HourView> hours = in(() -> record.hours(bench.id(), now.minus(40, ChronoUnit.HOURS), now));
        assertThat(hours).hasSize(30).allSatisfy(h -> {
            assertThat(h.mean()).isCloseTo(18, within(1e-9));
            assertThat(h.humidity()).isCloseTo(70, within(1e-9));
        });
        assertThat(in(() -> record.days(bench.id(), TODAY.minusDays(3))).stream()
                        .mapToInt(AirRecord.Day::hours)
                        .sum())
                .isEqualTo(30);
    }

    @Test
    void whatWasReadWrongIsStruckOutByTheHour() {
        in(() -> readings.keep(bench.id(), everyTenMinutes(30, 18)));
        Instant from = now.minus(10, ChronoUnit.HOURS);
        assertThat(in(() -> readings.strike(bench.id(), from.plusSeconds(600), now.minus(5, ChronoUnit.HOURS))))
                .isEqualTo(5);
        assertThat(in(() -> record.hours(bench.id(), now.minus(40, ChronoUnit.HOURS), now)))
                .hasSize(25)
                .noneMatch(h -> !h.at().isBefore(from) && h.at().isBefore(now.minus(5, ChronoUnit.HOURS)));
        assertThat(in(() -> record.days(bench.id(), TODAY.minusDays(3))).stream()
                        .mapToInt(AirRecord.Day::hours)
                        .sum())
                .isEqualTo(25);
        assertThatThrownBy(() -> run(() -> readings.strike(bench.id(), now, now.minusSeconds(60))))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("later time");
        // Another nursery strikes nothing of it.
        UUID other = Nurseries.make(people).id();
        assertThat(current.workingFor(other, () -> readings.strike(bench.id(), now.minus(30, ChronoUnit.HOURS), now)))
                .isZero();
        assertThat(in(() -> record.hours(bench.id(), now.minus(40, ChronoUnit.HOURS), now)))
                .hasSize(25);
    }

    @Test
    void aYearIsDrawnByTheDayAndSummedByTheHour() {
        BatchView batch = in(() -> {
            StockPlantView fuchsia = Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’");
            return Growing.tray(batches, guide, fuchsia, 4, 6, TODAY.minusDays(70));
        });
        // Sixty days, of which every third is far too hot.
        List<Reading> hourly = IntStream.range(0, 60 * 24)
                .mapToObj(h -> new Reading(now.minus(h, ChronoUnit.HOURS), h / 24 % 3 == 0 ? 44.0 : 20.0, 70.0, null))
                .toList();
        in(() -> readings.keep(batch.placeId(), hourly));
        PlaceAir year = in(() -> airs.of(batch.placeId(), 365));
        assertThat(year.byDay()).isTrue();
        assertThat(year.hours()).hasSizeBetween(60, 61);
        assertThat(year.wants().get(0).tally().hot()).isEqualTo(20 * 24);
        assertThat(AirChart.of(year, Optional.empty(), measures).step()).isEqualTo(24);
        PlaceAir month = in(() -> airs.of(batch.placeId(), 30));
        assertThat(month.byDay()).isFalse();
        assertThat(month.hours()).hasSize(721);
        assertThat(month.wants().get(0).tally().hot()).isEqualTo(10 * 24 + 1);
        assertThat(in(() -> airs.hours(batch.placeId(), 365))).hasSize(1440);
        assertThatThrownBy(() -> run(() -> airs.hours(UUID.randomUUID(), 365))).isInstanceOf(NotFound.class);
    }

    @Test
    void sumsMadeInTheDatabaseAreThoseOfTheRule() {
        Random random = new Random(12);
        List<Reading> odd = IntStream.range(0, 200)
                .mapToObj(h -> new Reading(
                        now.minus(h, ChronoUnit.HOURS),
                        10 + random.nextInt(40) / 2.0,
                        random.nextInt(3) == 0 ? null : 40.0 + random.nextInt(50),
                        null))
                .toList();
        in(() -> readings.keep(bench.id(), odd));
        Instant from = now.minus(150, ChronoUnit.HOURS);
        List<AirWatch.Wanted> wanted = List.of(
                new AirWatch.Wanted(Optional.of(Warmth.between(18.0, 22.5)), Optional.of(70.0)),
                new AirWatch.Wanted(Optional.empty(), Optional.of(55.0)),
                AirWatch.Wanted.NOTHING);
        List<AirWatch.Hour> hours = in(() -> record.hours(bench.id(), from, now)).stream()
                .map(HourView::hour)
                .toList();
        AirRecord.Summed summed = in(() -> record.summed(
                        List.of(bench.id()),
                        wanted.stream().map(AirWatch.Limits::of).toList(),
                        from,
                        now))
                .get(bench.id());
        assertThat(summed.hours()).isEqualTo(hours.size()).isEqualTo(150);
        assertThat(summed.wrong())
                .containsExactlyElementsOf(
                        wanted.stream().map(w -> AirWatch.tally(hours, w)).toList());
        assertThat(summed.wrong().get(0).cold()).isPositive();
        UUID other = Nurseries.make(people).id();
        assertThat(current.workingFor(other, () -> record.summed(List.of(bench.id()), List.of(), from, now)))
                .isEmpty();
    }

    @Test
    void lightOfAPlaceIsSaidAndJudged() {
        BatchView batch = in(() -> {
            StockPlantView fuchsia = Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’");
            return Growing.tray(batches, guide, fuchsia, 4, 6, TODAY.minusDays(20));
        });
        List<Reading> sunny = IntStream.range(0, 8 * 24)
                .mapToObj(h -> new Reading(now.minus(h, ChronoUnit.HOURS), 18.0, 70.0, h % 24 < 3 ? 0.9 : 0.1))
                .toList();
        in(() -> readings.keep(batch.placeId(), sunny));
        PlaceAir air = in(() -> airs.of(batch.placeId(), 7));
        assertThat(air.light()).hasValueSatisfying(l -> assertThat(l.light()).isEqualTo(PlaceFit.Light.SUN));
        assertThat(air.wants()).singleElement().satisfies(w -> {
            assertThat(w.light().wants()).isEqualTo("bright shade");
            assertThat(w.light().tally().isWrong()).isTrue();
            assertThat(w.light().tally().bright()).isEqualTo(18);
            assertThat(w.light().tally().days()).isEqualTo(6);
            assertThat(w.light().tally().dull()).isZero();
        });
        assertThat(in(() -> airs.all()).stream().filter(a -> a.light().isPresent()))
                .singleElement()
                .satisfies(a -> assertThat(a.place().id()).isEqualTo(batch.placeId()));
    }

    @Test
    void whatWasLetGoStaysByHour() {
        List<Reading> old = IntStream.range(0, 6)
                .mapToObj(i -> new Reading(now.minus(20, ChronoUnit.DAYS).plusSeconds(600L * i), 10.0 + i, null, null))
                .toList();
        in(() -> readings.keep(bench.id(), old));
        assertThat(in(() -> readings.prune())).isEqualTo(6);
        assertThat(in(() -> record.last(bench.id()))).isEmpty();
        // One of them comes again: the hour was reckoned from six, and is not made worse by one.
        in(() -> readings.keep(bench.id(), old.subList(5, 6)));
        assertThat(in(() -> record.hours(bench.id(), now.minus(30, ChronoUnit.DAYS), now)))
                .singleElement()
                .satisfies(h -> {
                    assertThat(h.mean()).isCloseTo(12.5, within(1e-9));
                    assertThat(h.coldest()).isEqualTo(10);
                    assertThat(h.humidity()).isNull();
                });
    }

    @Test
    void whatCannotBeIsRefusedWholeAndNobodyWritesIntoAnothersPlace() {
        List<Reading> mixed = List.of(at(5, 18), at(15, 300));
        assertThatThrownBy(() -> in(() -> readings.keep(bench.id(), mixed))).isInstanceOf(InvalidField.class);
        assertThatThrownBy(() -> in(() -> readings.keep(bench.id(), List.of(at(-60, 18)))))
                .hasMessageContaining("cannot be");
        assertThat(in(() -> record.last(bench.id()))).isEmpty();
        UUID other = Nurseries.make(people).id();
        assertThatThrownBy(() -> current.workingFor(other, () -> readings.keep(bench.id(), List.of(at(5, 18)))))
                .hasMessageContaining("no such place");
        in(() -> readings.keep(bench.id(), List.of(at(5, 18))));
        assertThat(current.workingFor(other, () -> record.last(bench.id()))).isEmpty();
        assertThat(current.workingFor(other, () -> record.hours(bench.id(), now.minusSeconds(90000), now)))
                .isEmpty();
    }

    @Test
    void fourColdHoursCallAndHoursAreToldByBatch() {
        BatchView plugs = in(() -> batches.make(Growing.newBatch(
                guide, "offset-in-gritty-mix", fuchsia, 10, TODAY.minusDays(10), TODAY.minusDays(10))));
        in(() -> readings.keep(bench.id(), everyTenMinutes(3, 5)));
        assertThat(in(alarms::now)).isEmpty();
        in(() -> readings.keep(bench.id(), everyTenMinutes(6, 5)));
        AirAlarms.Asked asked = in(alarms::now).get(0);
        assertThat(asked.what()).startsWith("Too cold: 5 °C, for 6 hours");
        assertThat(asked.pressing()).isTrue();
        PlaceAir air = in(() -> airs.of(bench.id(), 7));
        PlaceAir.Wants wants = air.wants().stream()
                .filter(w -> w.batch().code().equals(plugs.code()))
                .findFirst()
                .orElseThrow();
        assertThat(wants.tally().cold()).isEqualTo(6);
        assertThat(wants.degreeDays()).isZero();
        assertThat(wants.of()).isEqualTo(11);
    }
}
