package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.measure.UnitSystem;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/**
 * Every page of the sample nursery, as somebody reads it in °C, cm and litres, and somebody else in °F, inches and US gallons: each
 * measured figure is the same quantity in both, in what is said and in what stands in fields.
 */
@OnDatabase
@Order(3)
class EveryPageInBothUnitsTest {

    private static final int ALIKE = 1;
    private static final int FEWEST_FIGURES = 100;

    private static final String NUMBER = "([-−]?\\d[\\d,]*(?:\\.\\d+)?)";
    private static final Pattern FIGURE = Pattern.compile(NUMBER + "(?:( to |–)" + NUMBER
            + ")? (°C|°F|cm|mm|in|L|litres?|US gal(?:lons?)?)(?![\\p{L}\\p{N}°/])" + "( (?:warmer|colder|outside))?");
    private static final Pattern UNIT_OF_A_LABEL =
            Pattern.compile("(°C|°F|\\bcm|\\bmm|\\bin|\\bL|\\bUS gal)\\b?( from)?$");

    @Autowired
    private DemoNursery demo;

    @Autowired
    private MockMvc pages;

    /** So many of a unit, in metric; how much rounding may have changed it. */
    private record Told(String words, Unit.Kind kind, double metric, double rounded) {}

    @Test
    void eachMeasuredFigureIsTheSameQuantity() {
        UUID sample = demo.fillOnce();
        SamplePages metric = readBy(sample, UnitSystem.METRIC);
        SamplePages us = readBy(sample, UnitSystem.US);
        int figures = 0;
        List<String> wrong = new ArrayList<>();
        for (Map.Entry<String, Document> page : metric.all(ALIKE).entrySet()) {
            List<Told> one = told(page.getValue());
            List<Told> other = told(us.page(page.getKey()).orElseThrow());
            figures += one.size();
            if (one.size() != other.size()) {
                wrong.add("%s: %d figures and %d: %s %s"
                        .formatted(page.getKey(), one.size(), other.size(), onlyIn(one, other), onlyIn(other, one)));
                continue;
            }
            for (int i = 0; i < one.size(); i++) {
                if (!isSame(one.get(i), other.get(i))) {
                    wrong.add("%s: %s is told as %s"
                            .formatted(
                                    page.getKey(),
                                    one.get(i).words(),
                                    other.get(i).words()));
                }
            }
        }
        assertThat(wrong).isEmpty();
        assertThat(figures).as("measured figures there are").isGreaterThan(FEWEST_FIGURES);
    }

    private static List<String> onlyIn(List<Told> some, List<Told> others) {
        return some.stream()
                .filter(s -> others.stream().noneMatch(o -> isSame(s, o)))
                .map(Told::words)
                .limit(5)
                .toList();
    }

    private static boolean isSame(Told one, Told other) {
        return one.kind() == other.kind()
                && Math.abs(one.metric() - other.metric()) <= one.rounded() + other.rounded() + 1e-9;
    }

    private SamplePages readBy(UUID nursery, UnitSystem units) {
        SignedIn reader = new SignedIn(UUID.randomUUID(), nursery, "reader", "Reader", "", Role.OWNER, units);
        return new SamplePages(path -> {
            // Whoever reads here never came by the door.
            if (path.startsWith("/door")) {
                return Optional.empty();
            }
            try {
                MockHttpServletResponse answer =
                        pages.perform(get(path).with(user(reader))).andReturn().getResponse();
                assertThat(answer.getStatus()).as(path).isLessThan(500);
                return Optional.ofNullable(answer.getContentType())
                        .filter(t -> t.startsWith("text/html"))
                        .map(t -> contentOf(answer));
            } catch (Exception e) {
                throw new IllegalStateException(path, e);
            }
        });
    }

    private static String contentOf(MockHttpServletResponse answer) {
        return new String(answer.getContentAsByteArray(), java.nio.charset.StandardCharsets.UTF_8);
    }

    private static List<Told> told(Document page) {
        page.select("script, style, textarea").remove();
        List<Told> told = new ArrayList<>();
        Map<String, Unit> fields = new HashMap<>();
        for (Element label : page.select("label[for]")) {
            Matcher unit = UNIT_OF_A_LABEL.matcher(label.text());
            if (unit.find()) {
                fields.put(label.attr("for"), unit(unit.group(1), false));
            }
        }
        for (Element field : page.select("input[value]")) {
            Unit unit = fields.get(field.id());
            if (unit != null && field.attr("value").matches("-?[\\d.]+")) {
                told.add(one(field.id() + " " + field.attr("value"), field.attr("value"), unit));
            }
        }
        for (Element e : page.select("[aria-label], [title], [alt]")) {
            figures(e.attr("aria-label") + " | " + e.attr("title") + " | " + e.attr("alt"), told);
        }
        figures(page.body().text(), told);
        return told;
    }

    private static void figures(String text, List<Told> told) {
        Matcher figure = FIGURE.matcher(text);
        while (figure.find()) {
            Unit unit = unit(figure.group(4), figure.group(5) != null);
            told.add(one(figure.group(), figure.group(1), unit));
            if (figure.group(3) != null) {
                told.add(one(figure.group(), figure.group(3), unit));
            }
        }
    }

    private static Told one(String words, String number, Unit unit) {
        String plain = number.replace(",", "").replace('−', '-');
        int decimals = plain.contains(".") ? plain.length() - plain.indexOf('.') - 1 : 0;
        double half = 0.5 * Math.pow(10, -decimals);
        double value = Double.parseDouble(plain);
        return new Told(words, unit.kind(), unit.of(value), unit.of(value + half) - unit.of(value));
    }

    private static Unit unit(String sign, boolean difference) {
        return switch (sign) {
            case "°C" -> difference ? Unit.CELSIUS_DEGREE : Unit.CELSIUS;
            case "°F" -> difference ? Unit.FAHRENHEIT_DEGREE : Unit.FAHRENHEIT;
            case "cm" -> Unit.CENTIMETRE;
            case "mm" -> Unit.MILLIMETRE;
            case "in" -> Unit.INCH;
            default -> sign.startsWith("US") ? Unit.US_GALLON : Unit.LITRE;
        };
    }
}
