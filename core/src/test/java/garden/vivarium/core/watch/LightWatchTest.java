package garden.vivarium.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.measure.Night;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Light and sun against the answers that were written down first. */
class LightWatchTest {

    @Test
    void isWhatWasWrittenDown() throws IOException {
        List<String[]> answers;
        try (InputStream in = LightWatchTest.class.getResourceAsStream("/garden/vivarium/core/light-answers.csv")) {
            answers = new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#"))
                    .map(l -> l.split(";"))
                    .toList();
        }
        assertThat(answers).hasSize(8);
        for (String[] a : answers) {
            if (a[0].equals("noon")) {
                assertThat(Night.noonHeight(
                                Double.parseDouble(a[1]), LocalDate.ofYearDay(2026, Integer.parseInt(a[2]))))
                        .isCloseTo(Double.parseDouble(a[3]), within(0.001));
                continue;
            }
            List<LightWatch.Lit> hours = Arrays.stream(a[1].split(" "))
                    .map(h -> h.split(","))
                    .map(h ->
                            new LightWatch.Lit(LocalDate.of(2026, 6, Integer.parseInt(h[0])), Double.parseDouble(h[1])))
                    .toList();
            String[] wanted = a[2].split("-");
            assertThat(LightWatch.tally(
                            hours, new PlaceFit.Range(Double.parseDouble(wanted[0]), Double.parseDouble(wanted[1]))))
                    .isEqualTo(new LightWatch.Tally(
                            Integer.parseInt(a[3]), Integer.parseInt(a[4]), Integer.parseInt(a[5])));
        }
    }

    @Test
    void lightIsSaidByTheWordsOfProtocols() {
        assertThat(LightWatch.said(0.01)).isEqualTo(PlaceFit.Light.DARK);
        assertThat(LightWatch.said(0.15)).isEqualTo(PlaceFit.Light.SHADE);
        assertThat(LightWatch.said(0.3)).isEqualTo(PlaceFit.Light.BRIGHT_SHADE);
        assertThat(LightWatch.said(0.9)).isEqualTo(PlaceFit.Light.SUN);
        LocalDate day = LocalDate.of(2026, 6, 1);
        assertThat(LightWatch.noon(List.of(
                        new LightWatch.Lit(day, 0.2),
                        new LightWatch.Lit(day, 0.6),
                        new LightWatch.Lit(day.plusDays(1), 0.2))))
                .isCloseTo(0.4, within(1e-12));
        assertThat(LightWatch.noon(List.of())).isZero();
        assertThat(new LightWatch.Tally(4, 0, 2).isWrong()).isFalse();
        assertThat(new LightWatch.Tally(5, 0, 2).isWrong()).isTrue();
        assertThat(new LightWatch.Tally(0, 1, 3).isWrong()).isFalse();
        assertThat(new LightWatch.Tally(0, 2, 3).isWrong()).isTrue();
        assertThat(LightWatch.Tally.NONE.isWrong()).isFalse();
    }

    @Test
    void plantStandsToTheNightsOfItsPlace() {
        Nights.Answer twelve = new Nights.Answer(12, Nights.Effect.BUDS);
        LocalDate june = LocalDate.of(2026, 6, 21);
        Nights.Stands now = Nights.stands(twelve, 52, june);
        assertThat(now.isLong()).isFalse();
        assertThat(now.turns()).isEqualTo(Nights.from(12, 52, june));
        assertThat(now.lamp()).isZero();
        // 16.26 − 12 + 0.5, to the next half hour.
        assertThat(now.most()).isEqualTo(5);
        Nights.Stands winter = Nights.stands(twelve, 52, LocalDate.of(2026, 12, 21));
        assertThat(winter.isLong()).isTrue();
        assertThat(winter.lamp()).isEqualTo(5);
        LocalDate spring = winter.turns().orElseThrow();
        assertThat(Night.hours(52, spring)).isLessThan(12);
        assertThat(Night.hours(52, spring.minusDays(1))).isGreaterThanOrEqualTo(12);
        assertThat(Nights.stands(new Nights.Answer(23, Nights.Effect.REST), 52, june))
                .isEqualTo(new Nights.Stands(false, Optional.empty(), 0, 0));
        assertThatThrownBy(() -> Night.noonHeight(91, june)).hasMessageContaining("latitude");
    }
}
