package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.timing.Climate;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** Old batches in which the season bears and the medium came along, drying has a best, and warmth saves days: each is read at its page. */
class SeveralInTheBrowserTest extends AtThePages {

    private static final int[] SCATTER = {0, 2, -2, 1, -1, 3, -3, 0};

    @TempDir
    private Path folder;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private Today today;

    private final StringBuilder history = new StringBuilder(
            "batch,plant,group,method,medium,stuck_on,stuck,taken_on,taken,looked_on,look,ready,lost\n");
    private int made;

    private void line(String plant, String medium, LocalDate stuck, int dried, int halfOn, int ready) {
        history.append("old-%d,%s,soft,tip cutting,%s,%s,40,%s,40,%s,lifted,%d,0\n"
                .formatted(
                        ++made, plant, medium, stuck, stuck.minusDays(dried), stuck.plusDays(halfOn - 2L), ready / 3));
        history.append("old-%d,%s,soft,tip cutting,%s,%s,40,%s,40,%s,lifted,%d,%d\n"
                .formatted(
                        made,
                        plant,
                        medium,
                        stuck,
                        stuck.minusDays(dried),
                        stuck.plusDays(halfOn + 2L),
                        ready,
                        40 - ready));
    }

    @Test
    void whatBearsIsTold() throws IOException {
        LocalDate spring = LocalDate.of(2025, 3, 3);
        LocalDate autumn = LocalDate.of(2025, 9, 8);
        for (int i = 0; i < 20; i++) {
            int scatter = SCATTER[i % SCATTER.length];
            // Perlite mostly in spring; only the season bears. The best is six days dried.
            boolean inSpring = i % 10 < 8;
            int dried = i % 13;
            line(
                    "Fuchsia ‘Skerry Lantern’",
                    "perlite",
                    (inSpring ? spring : autumn).plusDays(i),
                    0,
                    24 + scatter,
                    (inSpring ? 31 : 20) + scatter);
            line(
                    "Fuchsia ‘Skerry Lantern’",
                    "vermiculite",
                    (inSpring ? autumn : spring).plusDays(i),
                    0,
                    24 + scatter,
                    (inSpring ? 20 : 31) + scatter);
            line(
                    "Salvia ‘Tern’",
                    "perlite",
                    spring.plusDays(i),
                    dried,
                    (i % 2 == 0 ? 18 : 28) + scatter,
                    36 - (dried - 6) * (dried - 6) / 2 + Math.min(2, scatter));
        }
        browser.open("/records");
        browser.upload(
                "file",
                Files.write(folder.resolve("history.csv"), history.toString().getBytes(StandardCharsets.UTF_8)));
        browser.press("main button.main");
        browser.untilText("main", "Would make 60 batches");
        browser.press("section[aria-label='What it would do'] button.main");
        browser.untilText(".said", "entries are part of your record now");
        in(() -> {
            // Every third is a salvia; of these every other stood warm.
            for (String house : new String[] {"Cold house", "Warm house"}) {
                database.update(
                        "update batch set place_id = ? where plant_name like 'Salvia%' and mod(substring(old_code, 5) div 3, 2) = ?",
                        stock.placeNamed(house, Climate.HEATED).id().toString(), house.equals("Warm house") ? 1 : 0);
            }
            return today.date();
        });

        browser.open("/technique");
        browser.follow("Several at once");
        browser.untilText("h1", "Several things at once");
        assertThat(browser.text("#verdict"))
                .startsWith("Spring rather than autumn:")
                .contains("more become ready");
        assertThat(browser.texts("#effects tbody strong")).contains("vermiculite", "autumn");
        assertThat(browser.text("#verdict")).doesNotContain("vermiculite");
        assertThat(browser.barriers()).isEmpty();
        assertThat(text("/technique/several.csv?factor=SEASON&factor=MEDIUM"))
                .startsWith("factor,value,beside")
                .contains("SEASON,autumn,spring");

        browser.open("/technique/measure?measure=DRIED&plant=Salvia+%E2%80%98Tern%E2%80%99");
        assertThat(browser.text("#verdict"))
                .startsWith("Most become ready at about")
                .contains("days; less and more are both worse");
        assertThat(browser.count("svg.dose .dose-line")).isEqualTo(1);
        assertThat(browser.barriers()).isEmpty();
        assertThat(text("/technique/measure.csv?measure=DRIED").lines().count()).isEqualTo(26);
        browser.open("/technique/measure?measure=HORMONE");
        assertThat(browser.text("#verdict")).startsWith("Too few to draw");

        browser.open("/technique/measure?measure=WARMTH");
        assertThat(browser.text("#clock")).startsWith("Too few to say what the warmth does");
        in(() -> {
            for (PlaceView place : stock.places()) {
                database.update(
                        "insert into air_day select nursery_id, id, ? + interval seq day, 24, ?, ?, ?, 70, null"
                                + " from place, seq_0_to_300 where id = ?",
                        spring,
                        warmth(place) - 3,
                        warmth(place),
                        warmth(place) + 3,
                        place.id().toString());
            }
            return today.date();
        });
        browser.open("/technique/measure?measure=WARMTH");
        assertThat(browser.text("#clock"))
                .startsWith("3 °C warmer saves about")
                .contains("foretells batches better than the days");

        // A plan for a plant that stands in the warm house goes by it, and says so.
        StockPlantView salvia = in(() -> {
            PlaceView warm = stock.placeNamed("Warm house", Climate.HEATED);
            database.update(
                    "insert into air_day select nursery_id, id, ? - interval seq day, 24, 20, 23, 26, 70, null"
                            + " from place, seq_0_to_13 where id = ?",
                    TODAY,
                    warm.id().toString());
            database.update(
                    "insert into air_hour select nursery_id, id, ?, 6, 20, 23, 26, 70, 70, null from place where id = ?",
                    TODAY.atTime(6, 0),
                    warm.id().toString());
            StockPlantView plant = Growing.stockPlant(stock, "Salvia ‘Tern’");
            database.update(
                    "update stock_plant set place_id = ? where id = ?",
                    warm.id().toString(),
                    plant.id().toString());
            return plant;
        });
        browser.open("/plan?stock=" + salvia.id() + "&wanted=12&sure=80&perPot=1&due=" + TODAY.plusDays(60));
        browser.untilText(
                "#pace", "Its place has been 4.5 °C warmer these two weeks than where this plant’s batches rooted");
        assertThat(browser.text("#pace")).contains("by your own clock the days are 0.");
        assertThat(browser.complaints()).isEmpty();
    }

    private static double warmth(PlaceView place) {
        return place.name().equals("Warm house") ? 22 : 15;
    }

    private String text(String address) {
        return new String(browser.fetch(address), StandardCharsets.UTF_8);
    }
}
