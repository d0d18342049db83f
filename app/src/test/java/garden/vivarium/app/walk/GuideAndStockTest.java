package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.timing.Climate;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** The guide, the story of a stock plant, what is wrong with it, and the search, at the pages themselves. */
@Order(2)
class GuideAndStockTest extends AtThePages {

    private StockPlantView fuchsia;
    private BatchView batch;

    @BeforeAll
    void somethingGrows() {
        in(() -> {
            fuchsia = Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’");
            batch = Growing.stuck(batches, guide, fuchsia, 12, TODAY.minusDays(30));
            return batches.look(batch.code(), Growing.count(TODAY.minusDays(4), 8, 1));
        });
    }

    @Test
    void theSlashFindsWhatIsHalfTyped() {
        browser.open("/round");
        browser.keys("/");
        browser.keys("skerry");
        browser.untilText("dialog .found", fuchsia.code());
        assertThat(browser.texts("dialog .found li")).hasSizeGreaterThanOrEqualTo(2);
        browser.keys(Keys.ARROW_DOWN, Keys.ENTER);
        browser.untilPath("/stock/");

        browser.keys("/");
        browser.keys(batch.code().substring(2), Keys.ENTER);
        browser.until(
                d -> browser.path().startsWith("/batches/") || browser.path().startsWith("/find?q="));
        assertThat(browser.text("main")).contains(batch.code());
        browser.open("/find?q=%3Cscript%3E");
        assertThat(browser.text("main")).contains("Nothing here is called so");
    }

    @Test
    void aProtocolIsCopiedChangedAndKeepsItsVersions() {
        browser.open("/guide/tip-in-plugs");
        assertThat(browser.count("svg.drawing")).isGreaterThanOrEqualTo(3);
        browser.press("form[action$='/copy'] button");
        browser.untilText(".refused", "Give your copy a name");
        browser.type("name", "Harbour plugs");
        browser.press("form[action$='/copy'] button");
        browser.untilText("h1", "Harbour plugs, version 1");

        browser.type("ready-from", "40");
        browser.type("ready-to", "20");
        browser.type("base-from", "22");
        browser.type("remark", "from a mat until rooted");
        browser.type("output", "60, 30");
        browser.type("sign-to", "");
        browser.type("callusLeast", "2");
        browser.type("reason", "colder bench");
        browser.press("main button.main");
        assertThat(browser.text(errorOf("course.firstSign.to"))).contains("give both days");
        assertThat(browser.text(errorOf("wound.callusMost"))).contains("leave both empty");
        assertThat(browser.text(errorOf("figures.output"))).contains("together they are 100");
        assertThat(browser.value("base-from")).isEqualTo("22");
        browser.type("output", "60, 40");
        browser.type("sign-to", "18");
        browser.type("callusLeast", "");
        assertThat(browser.text(errorOf("course.ready.to"))).contains("to a later one");
        assertThat(browser.value("reason")).as("nothing typed is lost").isEqualTo("colder bench");
        browser.type("ready-to", "60");
        browser.press("main button.main");
        browser.untilText("main", "Your own, version 2");
        assertThat(browser.text("main"))
                .contains("16 to 20 °C, base 22 °C, from a mat until rooted", "Young plants a piece 1.4");
        assertThat(browser.text(".margin")).contains("Version 1", "Version 2 colder bench");

        browser.open("/shed?group=soft");
        assertThat(browser.text("main table")).contains("your own, version 2");
        browser.open("/guide/jobs/soft/tip%20cutting");
        assertThat(browser.text("table.schools")).contains("Harbour plugs", "none yet");
        assertThat(browser.text("table.schools"))
                .as("own evidence beside its school")
                .contains("1 batch, 8 of 12 so far");
    }

    @Test
    void whatIsWrongIsAnsweredInOrderAndAskedAboutLater() {
        browser.open("/batches/" + batch.code());
        browser.follow("What is wrong with it?");
        browser.follow("Base black and soft");
        assertThat(browser.text(".cause h3")).startsWith("1. Rot from below likelier, as");
        assertThat(browser.text(".cause .caution")).contains("Sharp blade");
        browser.press(".cause form button");
        browser.untilText(".said", "In 10 days the round asks whether it worked");
        assertThat(browser.text("section[aria-labelledby=care]")).contains("cut back to clean tissue", "asked on");

        browser.open("/wrong?stock=" + fuchsia.id() + "&seen=sticky");
        assertThat(browser.text("main")).contains("Normal, leave it");
    }

    @Test
    void aPlantGoesIntoQuarantineAndIsTreatedOnItsDays() {
        StockPlantView guest = in(() -> Growing.stockPlant(stock, "Sage ‘Quay Guest’"));
        browser.open("/stock/" + guest.id());
        browser.script("document.querySelectorAll('details').forEach(d => d.open = true)");
        browser.choose("pest", "mealybug");
        browser.type("start", TODAY.toString());
        browser.press("form[action$='/quarantine'] button");
        browser.untilText(".said", "3 times, every 10 days");
        assertThat(browser.text("section[aria-labelledby=care]")).contains("1 of 3", "2 of 3", "3 of 3");
        assertThat(browser.texts(".refused")).anySatisfy(w -> assertThat(w).contains("In quarantine until Wed 15 Jul"));

        browser.open("/round");
        browser.press("button[aria-label='Done: " + guest.code() + "']");
        browser.untilText(".said", "treated against mealybug, 1 of 3. Done.");
    }

    @Test
    void aHardCutIsWrittenDownAndItsRecoveryCounted() {
        StockPlantView sage = in(() -> Growing.stockPlant(stock, "Sage ‘Lighter Grey’"));
        browser.open("/stock/" + sage.id());
        browser.press("section[aria-labelledby=rhythm] summary");
        assertThat(browser.text("section[aria-labelledby=rhythm]")).contains("Sharp blade");
        browser.type("cutOn", TODAY.minusDays(20).toString());
        browser.type("cutPieces", "60");
        browser.press("input[name=hard]");
        browser.press("form[action$='/cut'] button");
        browser.untilText(".said", "60 cut");

        browser.script("document.querySelector(\"form[action$='/look']\").noValidate = true");
        browser.type("count-shoot-tips", "6000");
        browser.type("shoots", "9");
        browser.type("note", "breaking low");
        browser.press("form[action$='/look'] button");
        browser.untilText("#count-shoot-tips-refused", "6,000 is not believable");
        assertThat(browser.value("note")).as("nothing typed is lost").isEqualTo("breaking low");
        browser.type("count-shoot-tips", "12");
        browser.press("form[action$='/look'] button");
        browser.untilText("section[aria-labelledby=rhythm]", "Day 20: 9 new shoots.");
    }

    @Test
    void aYoungPlantIsKeptAndTheFamilyShowsIt() {
        browser.open("/batches/" + batch.code());
        browser.follow("Keep or cut again");
        browser.type("keep-place", "Bench");
        browser.type("piece", "4");
        browser.press("form[action$='/keep'] button");
        browser.untilText(".said", "Kept as FUC-");
        assertThat(browser.text("section[aria-labelledby=identity]"))
                .contains("Young plant of " + batch.code() + ", piece 4");

        browser.follow("Family");
        browser.until(d -> browser.count("svg.family .family-name") == 3);
        assertThat(browser.texts("svg.family .family-name").get(0)).isEqualTo(fuchsia.code());
        assertThat(browser.text("svg.family")).contains("8 of 12");
        browser.press("svg.family [data-id][role=button]");
        browser.until(d -> browser.count("svg.family .family-name") == 1);
        assertThat(browser.count("svg.family [aria-expanded=false]")).isOne();
    }

    @Test
    void aFamilyOfTwoHundredStaysReadable() {
        StockPlantView eldest = in(() -> {
            StockPlantView first = Growing.stockPlant(stock, "Sage ‘Two Hundred’");
            StockPlantView mother = first;
            for (int generation = 0; generation < 6; generation++) {
                BatchView last = null;
                for (int i = 0; i < 32; i++) {
                    last = Growing.stuck(batches, guide, mother, 2, TODAY.minusDays(60));
                }
                mother = stock.add(
                        new StockPlantForm(
                                first.plant().name(),
                                "soft",
                                Protection.FREE,
                                null,
                                new StockPlantForm.Stands("Bench", null),
                                new StockPlantForm.Condition(null, StockState.GROWING, null),
                                null),
                        last.id(),
                        1);
            }
            return first;
        });
        browser.open("/stock/" + eldest.id() + "/family");
        assertThat(browser.text("main .lead")).contains("199 members over 7 generations");
        browser.until(d -> browser.count("svg.family .family-name") > 0);
        // Only the asked stands open, and its 31 childless batches are one row.
        assertThat(browser.count("svg.family .family-name")).isBetween(2, 6);
        for (int i = 0; i < 12; i++) {
            browser.script(
                    "document.querySelector(\"svg.family .plant[aria-expanded=false], "
                            + "svg.family .batch[aria-expanded=false]\")?.dispatchEvent(new MouseEvent('click', {bubbles: true}))");
        }
        assertThat(browser.count("svg.family .family-name"))
                .as("6 rows of many, 13 of one")
                .isBetween(13, 30);
        assertThat(browser.script("""
                        const bars = [...document.querySelectorAll('svg.family .family-stuck')].map(b => b.getBoundingClientRect());
                        return [...document.querySelectorAll('svg.family text:not(.family-rate)')].map(t => t.getBoundingClientRect())
                            .filter(t => bars.some(b => t.right > b.left && t.bottom > b.top && t.top < b.bottom && t.left < b.right)).length
                        """)).as("no words run into the bars").isEqualTo(0L);
    }

    @Test
    void aProtectedVarietyIsNotCutAgainWithoutItsLicence() {
        StockPlantView guarded = in(() -> stock.add(new StockPlantForm(
                "Hydrangea ‘Spindrift’",
                "woody",
                Protection.PROTECTED,
                null,
                new StockPlantForm.Stands("Bench", Climate.HEATED),
                new StockPlantForm.Condition(60, StockState.GROWING, null),
                null)));
        BatchView young = in(() -> Growing.stuck(batches, guide, guarded, 12, TODAY.minusDays(30)));
        browser.open("/batches/" + young.code() + "/offspring");
        browser.choose("way", "Softwood cutting in vermiculite");
        browser.type("pieces", "5");
        browser.type("cutOn", TODAY.toString());
        browser.type("recut-place", "Bench");
        browser.press("form[action$='/recut'] button");
        browser.untilText(".refused", "not propagated for sale without its breeder");
    }

    @Test
    void everyMethodHasItsPageInTheBenchBook() {
        browser.open("/shed");
        List<String> methods = guide.methods().stream().map(m -> m.name()).toList();
        assertThat(browser.text("main")).contains(methods);
        for (String method : List.of("tip cutting", "rhizome division", "bulb scale", "leaf with stalk")) {
            browser.open("/guide/methods/" + method.replace(" ", "%20"));
            assertThat(browser.count(".bench-steps svg.drawing use")).isGreaterThanOrEqualTo(4);
            assertThat(browser.script("return [...document.querySelectorAll('.bench-steps use')]"
                            + ".every(u => document.querySelector(u.getAttribute('href')))"))
                    .as("every drawing exists")
                    .isEqualTo(true);
            assertThat(browser.text("section[aria-labelledby=goes-wrong] dd")).isNotEmpty();
        }
    }

    private static String errorOf(String field) {
        return "[id='%s-error']".formatted(field);
    }

    @Test
    void aStockPlantIsPottedAndItsFirstFeedComesOnTheRound() {
        StockPlantView pothos = in(() -> Growing.stockPlant(stock, "Sage ‘Ballast’"));
        browser.open("/stock/" + pothos.id());
        browser.press("#pot-it summary");
        assertThat(browser.text("#pot-it")).contains("feed weakly after");
        browser.type("acrossCm", "18");
        browser.press("#pot-it button");
        browser.untilText(".said", "is potted in 18 cm");
        assertThat(browser.text("section[aria-labelledby=care]"))
                .contains("potted, just received: 18 cm")
                .contains("first weak feed after potting")
                .contains("due");
    }

    @Test
    void aVaseIsAskedForItsWater() {
        StockPlantView pothos = in(() -> Growing.stockPlant(stock, "Pothos ‘Standing Light’"));
        browser.open("/stock/" + pothos.id());
        browser.press("#pot-it summary");
        browser.type("acrossCm", "14");
        browser.type("potMix", "water");
        browser.press("#pot-it button");
        browser.untilText(".said", "stands in water: its water is asked for every 4 days");
        assertThat(browser.text("section[aria-labelledby=care]"))
                .contains("14 cm, water")
                .contains("water changed")
                .doesNotContain("first water after potting");

        // Into a pot after all: the water is asked for no more.
        browser.press("#pot-it summary");
        browser.type("acrossCm", "16");
        browser.type("potMix", "bark");
        browser.type("pottedOn", TODAY.minusDays(200).toString());
        browser.press("#pot-it button");
        browser.untilText(".said", "is potted in 16 cm");
        assertThat(browser.text("section[aria-labelledby=care]"))
                .contains("16 cm, bark")
                .doesNotContain("water changed");
    }
}
