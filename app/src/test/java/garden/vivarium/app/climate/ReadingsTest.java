package garden.vivarium.app.climate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.core.timing.Climate;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Readings: each once, by hour and by day, let go after their time; and what they say of batches. */
class ReadingsTest extends AtANursery {

    @Autowired
    private Readings readings;

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
        List<HourView> hours = in(() -> readings.hours(bench.id(), now.minus(40, ChronoUnit.HOURS), now));
        assertThat(hours).hasSize(30).allSatisfy(h -> {
            assertThat(h.mean()).isCloseTo(18, within(1e-9));
            assertThat(h.humidity()).isCloseTo(70, within(1e-9));
        });
        assertThat(in(() -> readings.days(bench.id(), TODAY.minusDays(3))).stream()
                        .mapToInt(Readings.Day::hours)
                        .sum())
                .isEqualTo(30);
    }

    @Test
    void whatWasLetGoStaysByHour() {
        List<Reading> old = IntStream.range(0, 6)
                .mapToObj(i -> new Reading(now.minus(20, ChronoUnit.DAYS).plusSeconds(600L * i), 10.0 + i, null, null))
                .toList();
        in(() -> readings.keep(bench.id(), old));
        assertThat(in(() -> readings.prune())).isEqualTo(6);
        assertThat(in(() -> readings.last(bench.id()))).isEmpty();
        // One of them comes again: the hour was reckoned from six, and is not made worse by one.
        in(() -> readings.keep(bench.id(), old.subList(5, 6)));
        assertThat(in(() -> readings.hours(bench.id(), now.minus(30, ChronoUnit.DAYS), now)))
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
        assertThat(in(() -> readings.last(bench.id()))).isEmpty();
        UUID other = Nurseries.make(people).id();
        assertThatThrownBy(() -> current.workingFor(other, () -> readings.keep(bench.id(), List.of(at(5, 18)))))
                .hasMessageContaining("no such place");
        in(() -> readings.keep(bench.id(), List.of(at(5, 18))));
        assertThat(current.workingFor(other, () -> readings.last(bench.id()))).isEmpty();
        assertThat(current.workingFor(other, () -> readings.hours(bench.id(), now.minusSeconds(90000), now)))
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
