package garden.vivarium.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The sums at the bench against the answers that were written down first, there and back, and what cannot be. */
class BenchArithmeticTest {

    static Stream<Arguments> answers() throws IOException {
        try (InputStream in =
                BenchArithmeticTest.class.getResourceAsStream("/garden/vivarium/core/bench-arithmetic.csv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#"))
                    .map(l -> l.split(";"))
                    .map(c ->
                            Arguments.of(c[0], given(c[1]), c[2], Double.parseDouble(c[3]), Double.parseDouble(c[4])));
        }
    }

    private static Map<String, String> given(String words) {
        return Arrays.stream(words.split(" ")).map(w -> w.split("=")).collect(Collectors.toMap(w -> w[0], w -> w[1]));
    }

    @ParameterizedTest
    @MethodSource("answers")
    void isWhatWasWrittenDown(String sum, Map<String, String> given, String asked, double expected, double tolerance) {
        assertThat(answer(sum, given, asked)).isCloseTo(expected, within(tolerance));
    }

    private static double answer(String sum, Map<String, String> g, String asked) {
        return switch (sum) {
            case "injector" ->
                Feed.of(n(g, "ppm"), Feed.Product.nitrogen(n(g, "percent")), n(g, "ratio"), 1)
                        .gramsPerLitre();
            case "feed" -> Feed.ppm(n(g, "grams"), n(g, "percent"), n(g, "ratio"));
            case "dilute" -> of(Dilution.of(n(g, "from"), n(g, "to"), 1000 * n(g, "litres")), asked);
            case "parts" -> of(Dilution.parts(n(g, "of"), n(g, "to"), n(g, "millilitres")), asked);
            case "rate" -> of(Dilution.rate(n(g, "mlPerLitre"), 1000 * n(g, "litres")), asked);
            case "strength" -> strength(g, asked);
            case "measure" -> measure(g);
            case "round" -> new Pot(n(g, "mouth") / 2, n(g, "base") / 2, n(g, "high")).litres();
            case "square" -> new Container.Square(n(g, "mouth"), n(g, "base"), n(g, "high")).litres();
            case "cells" ->
                Container.Cells.of((int) n(g, "count"), n(g, "millilitres")).litres();
            case "basket" -> new Container.Basket(n(g, "across"), n(g, "deep")).litres();
            case "dressing" -> dressing(g);
            case "mix" -> Mix.read(parts(g.get("parts"))).litres(n(g, "litres")).get(asked.equals("first") ? "a" : "b");
            case "bags" -> Materials.packs(n(g, "need"), n(g, "there"), n(g, "bag"));
            case "air" -> air(new Air(n(g, "warmth"), n(g, "humidity") / 100), asked);
            case "night" -> Night.hours(n(g, "latitude"), (int) n(g, "day"));
            case "thermal" ->
                Air.thermalTime(
                        n(g, "base"),
                        Arrays.stream(g.get("days").split(","))
                                .mapToDouble(Double::parseDouble)
                                .toArray());
            default -> throw new IllegalArgumentException(sum);
        };
    }

    private static double n(Map<String, String> given, String name) {
        return Double.parseDouble(given.get(name));
    }

    private static double of(Dilution made, String asked) {
        return asked.equals("stockMl") ? made.stockMl() : made.waterMl();
    }

    private static double strength(Map<String, String> g, String asked) {
        Unit from = g.containsKey("percent") ? Unit.PERCENT : g.containsKey("ppm") ? Unit.PPM : Unit.GRAM_PER_LITRE;
        double ppm = from.of(Double.parseDouble(g.values().iterator().next()));
        return (asked.equals("ppm") ? Unit.PPM : Unit.PERCENT).in(ppm);
    }

    private static double measure(Map<String, String> g) {
        String name = g.keySet().iterator().next();
        Unit unit = Map.of(
                        "teaspoons", Unit.TEASPOON,
                        "tablespoons", Unit.TABLESPOON,
                        "drops", Unit.DROP,
                        "usGallons", Unit.US_GALLON,
                        "imperialGallons", Unit.IMPERIAL_GALLON,
                        "usFluidOunces", Unit.US_FLUID_OUNCE,
                        "ounces", Unit.OUNCE)
                .get(name);
        return unit.of(n(g, name));
    }

    private static double dressing(Map<String, String> g) {
        double deep = n(g, "deep");
        return g.containsKey("round")
                ? Pot.across(n(g, "round")).dressing(deep)
                : g.containsKey("square")
                        ? Container.Square.across(n(g, "square")).dressing(deep)
                        : new Container.Cells(1, 1, n(g, "area")).dressing(deep);
    }

    private static String parts(String parts) {
        String[] each = parts.split("\\+");
        return each[0] + " a, " + each[1] + " b, " + each[2] + " c";
    }

    private static double air(Air air, String asked) {
        return asked.equals("deficit") ? air.deficit() : air.dewPoint();
    }

    @RepeatedTest(50)
    void whatIsMixedIsWhatWasAsked(RepetitionInfo run) {
        Random random = new Random(run.getCurrentRepetition());
        double from = 0.5 + 20 * random.nextDouble();
        double to = from * (0.01 + 0.99 * random.nextDouble());
        Unit unit = Unit.all(Unit.Kind.VOLUME).get(random.nextInt(9));
        double total = unit.of(1 + 50 * random.nextDouble());
        Dilution once = Dilution.of(from, to, total);
        assertThat(once.totalMl()).isCloseTo(total, within(1e-9 * total));
        assertThat(from * once.stockMl() / once.totalMl()).isCloseTo(to, within(1e-9 * to));
        // A dilution of a dilution is the dilution from first to last.
        double last = to * (0.05 + 0.9 * random.nextDouble());
        Dilution twice = Dilution.of(to, last, total);
        assertThat(twice.stockMl() * once.stockMl() / once.totalMl())
                .isCloseTo(Dilution.of(from, last, total).stockMl(), within(1e-9 * total));
        assertThat(unit.in(unit.of(3.7))).isCloseTo(3.7, within(1e-12));
    }

    @RepeatedTest(30)
    void gramsAndPpmAreTheSameSumThereAndBack(RepetitionInfo run) {
        Random random = new Random(run.getCurrentRepetition());
        double ppm = 10 + 300 * random.nextDouble();
        double percent = 1 + 45 * random.nextDouble();
        double ratio = 1 + random.nextInt(250);
        double litres = 0.5 + 200 * random.nextDouble();
        Feed feed = Feed.of(ppm, Feed.Product.nitrogen(percent), ratio, litres);
        assertThat(Feed.ppm(feed.gramsPerLitre(), percent, ratio)).isCloseTo(ppm, within(1e-9 * ppm));
        assertThat(feed.grams()).isCloseTo(feed.gramsPerLitre() * litres, within(1e-9 * feed.grams()));
    }

    @RepeatedTest(30)
    void aPotIsFilledFromItsBottomToItsBrim(RepetitionInfo run) {
        Random random = new Random(run.getCurrentRepetition());
        double top = 4 + 20 * random.nextDouble();
        double high = 4 + 20 * random.nextDouble();
        for (Container pot : new Container[] {
            new Pot(top / 2, 0.35 * top, high),
            new Container.Square(top, 0.75 * top, high),
            new Container.Basket(top, high)
        }) {
            assertThat(pot.upTo(0)).isCloseTo(pot.litres(), within(1e-9));
            assertThat(pot.upTo(high)).isCloseTo(0, within(1e-12));
            // A thin layer at the brim is the mouth times its depth.
            assertThat((pot.upTo(0) - pot.upTo(1e-4)) / 1e-4 * 1000).isCloseTo(pot.mouth(), within(0.01 * pot.mouth()));
            double loose = pot.loose(1, 0, Pot.SETTLING);
            assertThat(pot.loose(1, 0.01, Pot.SETTLING)).isLessThan(loose);
            assertThat(pot.loose(1, 1e6, Pot.SETTLING))
                    .as("a root ball too large")
                    .isZero();
            assertThat(loose).isCloseTo(1.12 * pot.upTo(1), within(1e-12));
        }
    }

    @Test
    void whatWillNotDissolveOrBurnsIsSaid() {
        Feed.Product weak = new Feed.Product(15, 5, 15, Optional.of(80.0), Optional.of(1.4));
        Feed feed = Feed.of(100, weak, 128, 5);
        assertThat(feed.warnings()).extracting(s -> s.rule()).containsExactly(Feed.Warning.WILL_NOT_DISSOLVE);
        assertThat(feed.conductivity()).hasValueSatisfying(c -> assertThat(c).isCloseTo(1.4 * 100 / 150, within(1e-9)));
        assertThat(feed.potassium()).isCloseTo(100 * 0.8302, within(1e-9));
        assertThat(feed.phosphorus()).isCloseTo(100.0 / 3 * 0.4364, within(1e-9));
        assertThat(Feed.of(300, Feed.Product.nitrogen(10), 200, 5).warnings())
                .extracting(s -> s.rule())
                .containsExactly(Feed.Warning.MAY_NOT_DISSOLVE, Feed.Warning.STRONG_FOR_YOUNG_ROOTS);
        assertThat(Feed.of(100, Feed.Product.nitrogen(20), 1, 9).warnings()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"2, 12, 1000", "0, 1, 1000", "2, 0, 1000", "2, 1, 0", "NaN, 1, 1000"})
    void whatCannotBeIsRefused(double from, double to, double total) {
        assertThatThrownBy(() -> Dilution.of(from, to, total)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void noFeedOfNothingAndNoWeakerConcentrate() {
        assertThatThrownBy(() -> Feed.Product.nitrogen(0)).hasMessageContaining("per cent");
        assertThatThrownBy(() -> Feed.of(100, Feed.Product.nitrogen(10), 0.5, 1))
                .hasMessageContaining("ratio");
        assertThatThrownBy(() -> Dilution.rate(1001, 10)).hasMessageContaining("rate");
        assertThatThrownBy(() -> Dilution.parts(0, 3, 10)).hasMessageContaining("parts");
        assertThatThrownBy(() -> new Air(20, 1.2)).hasMessageContaining("humid");
        assertThatThrownBy(() -> Night.hours(91, 3)).hasMessageContaining("latitude");
        assertThat(new Air(20, 0).dewPoint()).isNaN();
    }

    @Test
    void nightsAreShortInSummerAndOfOneLengthEverywhereAtTheEquinox() {
        for (double latitude = -60; latitude <= 60; latitude += 5) {
            assertThat(Night.hours(latitude, 80)).isBetween(11.5, 12.1);
            double june = Night.hours(latitude, 172);
            double december = Night.hours(latitude, 355);
            if (latitude > 5) {
                assertThat(june).isLessThan(december);
            } else if (latitude < -5) {
                assertThat(june).isGreaterThan(december);
            }
        }
    }
}
