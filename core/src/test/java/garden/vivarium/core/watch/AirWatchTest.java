package garden.vivarium.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.measure.Night;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.simulate.PlaceWeather;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** The air of a place against the answers that were written down first. */
class AirWatchTest {

    @Test
    void isWhatWasWrittenDown() throws IOException {
        List<String[]> answers;
        try (InputStream in = AirWatchTest.class.getResourceAsStream("/garden/vivarium/core/air-answers.csv")) {
            answers = new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#"))
                    .map(l -> l.split(";"))
                    .toList();
        }
        assertThat(answers).hasSize(7);
        for (String[] a : answers) {
            if (a[0].startsWith("night")) {
                assertThat(Nights.from(13, 52, LocalDate.of(2026, 7, 1))).hasValue(LocalDate.parse(a[3]));
                continue;
            }
            List<AirWatch.Hour> hours = Arrays.stream(a[1].split(" "))
                    .map(h -> h.split(","))
                    .map(h -> new AirWatch.Hour(Double.parseDouble(h[1]), Optional.of(Double.valueOf(h[2]))))
                    .toList();
            String[] w = a[2].split(",");
            AirWatch.Wanted wanted = new AirWatch.Wanted(
                    Optional.of(Warmth.between(Double.parseDouble(w[0]), Double.parseDouble(w[1]))),
                    Optional.of(Double.valueOf(w[2])));
            AirWatch.Tally tally = AirWatch.tally(hours, wanted);
            int got = switch (a[0]) {
                case "hours too cold" -> tally.cold();
                case "hours too hot" -> tally.hot();
                case "hours too dry" -> tally.dry();
                default ->
                    AirWatch.alarm(hours, wanted).map(AirWatch.Now::hours).orElse(0);
            };
            assertThat(got).as(a[0]).isEqualTo(Integer.parseInt(a[3]));
        }
    }

    @Test
    void whatWantsNothingInParticularIsNeverWrong() {
        List<AirWatch.Hour> hours = List.of(new AirWatch.Hour(-5, Optional.empty()));
        assertThat(AirWatch.tally(hours, AirWatch.Wanted.NOTHING)).isEqualTo(new AirWatch.Tally(0, 0, 0));
        assertThat(AirWatch.alarm(hours, AirWatch.Wanted.NOTHING)).isEmpty();
        assertThat(AirWatch.alarm(
                        List.of(), new AirWatch.Wanted(Optional.of(Warmth.between(16, 24)), Optional.empty())))
                .isEmpty();
    }

    @Test
    void placeThatNeverSuitsIsNoAlarmAndATenthOfADegreeIsNothing() {
        AirWatch.Wanted wanted = new AirWatch.Wanted(Optional.of(Warmth.between(16, 24)), Optional.empty());
        List<AirWatch.Hour> always = Collections.nCopies(168, new AirWatch.Hour(3, Optional.empty()));
        assertThat(AirWatch.alarm(always, wanted)).isEmpty();
        assertThat(AirWatch.tally(always, wanted).cold()).isEqualTo(168);
        List<AirWatch.Hour> fell = new ArrayList<>(Collections.nCopies(100, new AirWatch.Hour(18, Optional.empty())));
        fell.addAll(Collections.nCopies(5, new AirWatch.Hour(9, Optional.empty())));
        assertThat(AirWatch.alarm(fell, wanted))
                .hasValueSatisfying(a -> assertThat(a.hours()).isEqualTo(5));
        assertThat(AirWatch.tally(List.of(new AirWatch.Hour(15.9, Optional.empty())), wanted))
                .isEqualTo(new AirWatch.Tally(0, 0, 0));
    }

    @Test
    void nightsAreSaidThreeWeeksAheadAndALampShortensThem() {
        Nights.Answer schlumbergera =
                Nights.of("christmas-cactus", "Schlumbergera ‘Winter Mooring’").orElseThrow();
        assertThat(schlumbergera.effect()).isEqualTo(Nights.Effect.BUDS);
        LocalDate first = Nights.from(12, 52, LocalDate.of(2026, 7, 1)).orElseThrow();
        assertThat(Nights.said(schlumbergera, 52, first.minusDays(22))).isEmpty();
        assertThat(Nights.said(schlumbergera, 52, first.minusDays(21)))
                .hasValueSatisfying(s -> assertThat(s.number("days")).isEqualTo(21));
        assertThat(Nights.said(schlumbergera, 52, LocalDate.of(2026, 12, 21))).hasValueSatisfying(s -> {
            assertThat(s.rule()).isEqualTo(Nights.Said.NOW);
            // 16.26 − 12 + 0.5 = 4.76, to the next half hour.
            assertThat(s.number("lamp")).isEqualTo(5);
        });
        assertThat(Nights.of("", "Fuchsia ‘Skerry Lantern’")).isEmpty();
        assertThat(Nights.from(23, 52, LocalDate.of(2026, 7, 1))).isEmpty();
        assertThat(Night.hours(52, first)).isGreaterThanOrEqualTo(12);
    }

    @Test
    void simulatedPlaceIsWarmerByDayHeatedInWinterAndAlwaysTheSame() {
        PlaceWeather house = new PlaceWeather(7, 52, 12, 9, 80);
        PlaceWeather open = new PlaceWeather(7, 52, -300, 0, 85);
        LocalDate july = LocalDate.of(2026, 7, 10);
        double noon = IntStream.range(0, 20)
                .mapToDouble(d -> house.at(july.plusDays(d).atTime(13, 0)).warmth())
                .average()
                .orElseThrow();
        double night = IntStream.range(0, 20)
                .mapToDouble(d -> house.at(july.plusDays(d).atTime(2, 0)).warmth())
                .average()
                .orElseThrow();
        assertThat(noon).isGreaterThan(night + 3);
        LocalDateTime winter = LocalDateTime.of(2026, 1, 20, 3, 0);
        for (int d = 0; d < 30; d++) {
            PlaceWeather.Reading in = house.at(winter.plusDays(d));
            assertThat(in.warmth()).isGreaterThan(11.5);
            assertThat(open.at(winter.plusDays(d)).warmth()).isLessThan(in.warmth());
            assertThat(in.humidity()).isBetween(15.0, 100.0);
            assertThat(in.light()).isZero();
        }
        assertThat(house.at(winter)).isEqualTo(house.at(winter));
        // No jump at midnight.
        assertThat(open.at(july.atTime(23, 59)).warmth())
                .isCloseTo(open.at(july.plusDays(1).atTime(0, 0)).warmth(), within(0.6));
    }
}
