package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.needs.Stores;
import garden.vivarium.app.stock.StockPlantView;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Sums at the bench: a mix for sixty pots with a part missing, a dilution, a feed for an injector, each kept with a batch. */
class SumsInTheBrowserTest extends AtThePages {

    @Autowired
    private Stores stores;

    @Autowired
    private CareBook care;

    @Test
    void aMixForSixtyPotsWithAPartMissing() {
        in(() -> stores.keep("Perlite", 0.0, 100.0, 18.0, null));
        in(() -> stores.keep("peat-free compost", 5.0, 40.0, 9.5, null));
        in(() -> stores.keep("Pumice", 30.0, 20.0, null, null));
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        BatchView jar = in(() -> Growing.stuck(batches, guide, fuchsia, 24, TODAY.minusDays(30)));

        browser.open("/sums/mix?batch=" + jar.code());
        browser.type("mix", "3 peat-free compost, 1 perlite, 1 grit of the");
        browser.type("count", "60");
        browser.type("across", "nine");
        browser.press("main form button.main");
        browser.untilText("main .error", "nine");
        assertThat(browser.value("count")).as("nothing typed is lost").isEqualTo("60");
        browser.type("mix", "3 peat-free compost, 1 perlite, 1 grit");
        browser.type("across", "9");
        browser.press("main form button.main");
        // 60 × 1.12 × the frustum of a 9 cm pot up to 1 cm below its rim: 21.1 litres.
        browser.untilText("h1", "21 litres of mix");
        assertThat(browser.texts("#litres tbody tr"))
                .anySatisfy(r -> assertThat(r).contains("peat-free compost", "13", "1 × 40 L"))
                .anySatisfy(r -> assertThat(r).contains("perlite", "4.2", "1 × 100 L"));
        assertThat(browser.text("aside")).contains("It sinks when it is watered in");
        assertThat(browser.text("main .caution")).contains("Dusty medium");
        assertThat(browser.barriers()).isEmpty();

        browser.choose("missing", "perlite");
        browser.press("main form button.main");
        browser.untilText("section[aria-labelledby=without]", "Instead of perlite: pumice");
        assertThat(browser.text("section[aria-labelledby=without]"))
                .contains("3 peat-free compost + 1 grit + 1 pumice", "Without perlite: it is 20 in 100");
        browser.press("form[action$='/mix/keep'] button");
        browser.untilPath("/batches/" + jar.code());
        assertThat(in(() -> care.of(jar.id())).get(0).what())
                .isEqualTo("21 litres of 3 peat-free compost + 1 grit + 1 perlite");

        browser.open("/sums/mix");
        browser.script("document.querySelectorAll('main details').forEach((d) => { d.open = true; })");
        browser.type("name", "Bench mix");
        browser.type("own-mix", "3 peat-free compost, 1 perlite");
        browser.press("form[action$='/recipe'] button");
        browser.untilText("main .said", "Bench mix is kept");
        browser.script("document.querySelectorAll('main details').forEach((d) => { d.open = true; })");
        browser.type("name", "Bench mix");
        browser.type("own-mix", "4 peat-free compost, 1 perlite");
        browser.press("form[action$='/recipe'] button");
        browser.untilText("main .said", "Bench mix, version 2");
        assertThat(browser.text("section[aria-labelledby=own]"))
                .contains("4 peat-free compost + 1 perlite", "3 peat-free compost + 1 perlite");
        browser.press("form[action$='/recipe/drop'] button");
        browser.untilText("main .said", "Bench mix is not offered any more");
        assertThat(browser.text("section[aria-labelledby=own]")).contains("None yet");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aDilutionByPartsAndByStrengthAndWhatCannotBe() {
        browser.open("/sums/dilute");
        browser.type("what", "seaweed feed");
        browser.type("total", "0.7");
        browser.press("main form button.main");
        browser.untilText("h1", "100 mL, and 600 mL of water");
        browser.choose("strength", "half");
        browser.press("main form button.main");
        // Half of 1 to 6 is 1 to 13: one of fourteen parts.
        browser.untilText("h1", "50 mL, and 650 mL of water");
        assertThat(browser.text("main p.lead")).isEqualTo("About 10 teaspoons.");
        browser.open("/sums/dilute?by=STRENGTH&from=12&to=2&total=1.5");
        assertThat(browser.text("h1")).isEqualTo("250 mL, and 1.25 L of water");
        browser.open("/sums/dilute?by=STRENGTH&from=0.1&to=3000&toUnit=PPM&total=1.5");
        assertThat(browser.text("main .error")).contains("Water makes nothing stronger");
        browser.open("/sums/dilute?by=STRENGTH&from=1&to=1000&toUnit=PPM&total=200&unit=MILLILITRE");
        assertThat(browser.text("h1")).isEqualTo("20 mL, and 180 mL of water");
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aFeedForAnInjectorIsWarnedOfAndKept() {
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        BatchView jar = in(() -> Growing.stuck(batches, guide, fuchsia, 24, TODAY.minusDays(30)));
        browser.open("/sums/feed?batch=" + jar.code());
        browser.type("ratio", "128");
        browser.type("p", "5");
        browser.type("k", "15");
        browser.press("main form button.main");
        browser.untilText("h1", "853.3 g in 10 litres of concentrate for 1 to 128: 100 ppm of N");
        assertThat(browser.text("main dl")).contains("85.33 g", "N 100");
        browser.type("solubility", "60");
        browser.press("main form button.main");
        browser.untilText("main .warning", "It will not dissolve: 85.3 g to the litre");
        browser.press("form[action$='/feed/keep'] button");
        browser.untilPath("/batches/" + jar.code());
        assertThat(in(() -> care.lastOf(jar.id())))
                .singleElement()
                .satisfies(l -> assertThat(l.what()).startsWith("fed: 853.3 g in 10 litres"));

        browser.open("/sums/air?warmth=24&humidity=80");
        assertThat(browser.text("main")).contains("20.3 °C", "0.6 kPa");
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.complaints()).isEmpty();
    }
}
