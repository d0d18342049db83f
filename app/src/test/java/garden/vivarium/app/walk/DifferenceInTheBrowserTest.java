package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.stock.StockPlantView;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** An old notebook with a planted difference, a planted confounding and a planted nothing: three right verdicts at the page. */
class DifferenceInTheBrowserTest extends AtThePages {

    private static final int[] SCATTER = {0, 2, -2, 1, -1, 3, -3, 0};

    @TempDir
    private Path folder;

    private final StringBuilder history =
            new StringBuilder("batch,plant,group,method,medium,treatment,stuck_on,stuck,looked_on,look,ready,lost\n");
    private int made;

    /** So many batches of 40 round a mean of ready pieces, one a week. */
    private void add(int number, String plant, String medium, String treatment, LocalDate first, int mean) {
        for (int i = 0; i < number; i++) {
            LocalDate stuck = first.plusDays(7L * i);
            int ready = mean + SCATTER[i % SCATTER.length];
            history.append("old-%d,%s,soft,tip cutting,%s,%s,%s,40,%s,lifted,%d,%d\n"
                    .formatted(++made, plant, medium, treatment, stuck, stuck.plusDays(45), ready, 40 - ready));
        }
    }

    @Test
    void threeVerdictsAreRight() throws IOException {
        add(8, "Fuchsia ‘Skerry Lantern’", "perlite", "", LocalDate.of(2025, 3, 3), 34);
        add(8, "Fuchsia ‘Skerry Lantern’", "vermiculite", "", LocalDate.of(2025, 3, 5), 20);
        add(8, "Salvia ‘Tern’", "perlite", "hormone 0.3%", LocalDate.of(2025, 3, 3), 33);
        add(8, "Salvia ‘Tern’", "perlite", "", LocalDate.of(2025, 9, 1), 18);
        add(4, "Penstemon ‘Slack Water’", "perlite", "", LocalDate.of(2025, 3, 3), 28);
        add(4, "Penstemon ‘Slack Water’", "vermiculite", "", LocalDate.of(2025, 3, 4), 28);
        browser.open("/records");
        browser.upload(
                "file",
                Files.write(folder.resolve("history.csv"), history.toString().getBytes(StandardCharsets.UTF_8)));
        browser.press("main button.main");
        browser.untilText("main", "Would make 40 batches");
        browser.press("section[aria-label='What it would do'] button.main");
        browser.untilText(".said", "entries are part of your record now");

        browser.open("/technique");
        assertThat(browser.texts(".todo .verdict")).hasSize(2);
        assertThat(browser.texts(".todo .verdict").get(1)).contains("look earlier. In 16 of 16 batches");
        assertThat(browser.texts(".todo .verdict").get(0))
                .startsWith("Fuchsia ‘Skerry Lantern’: go over to perlite. 85% became ready so, 50% with vermiculite");
        assertThat(browser.barriers()).isEmpty();
        browser.press(".todo form button");
        browser.untilText(".said", "perlite is the usual way for Fuchsia ‘Skerry Lantern’ from now on");
        assertThat(browser.text("section[aria-labelledby=usual]")).contains("perlite for Fuchsia ‘Skerry Lantern’");
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        browser.open("/plan?stock=" + fuchsia.id() + "&wanted=12&sure=80&perPot=1&due=" + TODAY.plusDays(60));
        browser.untilText("#answer", "perlite");
        assertThat(browser.text("main")).contains("Usual here, since your record says so");

        browser.open("/technique");
        browser.follow("What made the difference?");
        browser.untilText("h1", "What made the difference?");
        ask("Fuchsia ‘Skerry Lantern’", "MEDIUM");
        assertThat(browser.text("#verdict")).startsWith("perlite does better: 85% became ready, with vermiculite 50%.");
        assertThat(browser.barriers()).isEmpty();

        ask("Salvia ‘Tern’", "HORMONE");
        assertThat(browser.text("#verdict"))
                .startsWith("It cannot be told:")
                .contains("they differ in season too", "were spring", "autumn");
        assertThat(browser.text("section[aria-labelledby=else]")).contains("Too few batches are alike in it");

        ask("Penstemon ‘Slack Water’", "MEDIUM");
        assertThat(browser.text("#verdict"))
                .startsWith("perlite and vermiculite come to the same within one in ten: 71% and 71%");
        assertThat(new String(
                        browser.fetch((String) browser.script(
                                "return document.querySelector('main a[href*=csv]').getAttribute('href')")),
                        StandardCharsets.UTF_8))
                .startsWith("stratum,first,kept_effective")
                .contains("\"Penstemon ‘Slack Water’, tip cutting\",perlite");
        browser.open("/technique/over-time");
        assertThat(browser.text("main")).contains("Are we getting better?", "Your own record against the guide");
        assertThat(browser.count("#quarters tbody tr")).isPositive();
        assertThat(browser.barriers()).isEmpty();
        browser.open("/technique?by=SUREST");
        assertThat(browser.texts("#ways-with-data tbody strong").get(0)).contains("Fuchsia");
        for (String file : new String[] {"/technique/ways.csv", "/technique/curves.csv", "/technique/over-time.csv"}) {
            assertThat(new String(browser.fetch(file), StandardCharsets.UTF_8)
                            .lines()
                            .count())
                    .as(file)
                    .isGreaterThan(2);
        }
        assertThat(browser.complaints()).isEmpty();
    }

    private void ask(String plant, String factor) {
        browser.script(
                "document.getElementById('plant').value = arguments[0]; document.getElementById('factor').value = arguments[1];",
                plant,
                factor);
        browser.script("for (const n of ['a', 'b']) { document.getElementById(n).disabled = true; }");
        browser.press("main form button");
        browser.until(d -> plant.equals(browser.script("return new URL(location).searchParams.get('plant')"))
                && factor.equals(browser.script("return new URL(location).searchParams.get('factor')")));
    }
}
