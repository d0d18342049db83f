package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.HowDone;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.treatment.Treatments;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Ways that a propagator would nod at, as the pages show them. */
@Order(2)
class KindsInTheBrowserTest extends AtThePages {

    private StockPlantView fuchsia;

    @BeforeEach
    void aFuchsia() {
        fuchsia = plant("Fuchsia ‘Skerry " + System.nanoTime() + "’", "soft", 80);
    }

    private StockPlantView plant(String name, String group, int pieces) {
        return in(() -> stock.add(new StockPlantForm(
                new StockPlantForm.Name(name, null, group, false, null, false),
                new StockPlantForm.Rights(Protection.FREE, null),
                StockKind.PLANT,
                StockPlantForm.Came.from("raised here"),
                new StockPlantForm.Stands("Bench", Climate.HEATED),
                new StockPlantForm.Condition(pieces, StockState.GROWING, null),
                null)));
    }

    /** The first way that is open, and what must not be among those that are. */
    @ParameterizedTest(name = "{0}: {3}")
    @CsvSource(delimiter = '|', textBlock = """
        Fuchsia ‘Half Tide’          | soft           | 214 | tip cutting           | sucker
        Petunia ‘Pennant’            | bedding        | 120 | tip cutting           | division
        Kalanchoe ‘Brass Lamp’       | succulent      | 60  | Stem                  | offset
        Spider plant ‘Foam’          | runner         | 20  | plantlet              | open ground
        Christmas cactus ‘Noel Bell’ | forest-cactus  | 80  | segment               | division
        Clumping aroid ‘Deck House’  | climbing-aroid | 6   | division              | stem section
        Spathiphyllum ‘White Ensign’ | climbing-aroid | 9   | division              | stem section
        """)
    void theFirstWayIsTheOneToStartWithAndNoneIsToLaughAt(
            String name, String group, int bears, String first, String laughable) {
        StockPlantView plant = plant(name, group, bears);
        browser.open("/plan?stock=" + plant.id() + "&wanted=4&due=" + TODAY.plusYears(1) + "&sure=80");
        List<String> open = browser.texts("section[aria-labelledby=ways] > .scroll td:first-child a");

        assertThat(open).hasSizeBetween(1, 5);
        assertThat(open.get(0)).containsIgnoringCase(first);
        assertThat(open).noneMatch(w -> w.toLowerCase(Locale.ROOT).contains(laughable));
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aLeafSegmentedCactusMayStandInWater() {
        StockPlantView plant = plant("Schlumbergera ‘Red Lead’", "forest-cactus", 80);
        browser.open("/plan?stock=" + plant.id() + "&wanted=6&due=2027-06-01&sure=80");

        assertThat(browser.texts("section[aria-labelledby=ways] td a")).anyMatch(w -> w.contains("water"));
    }

    @Test
    void whatIsBorneIsTheAnswerWhereMoreWasWanted() {
        StockPlantView plant = plant("Fuchsia ‘Low Water’", "soft", 60);
        StockPlantView sister = plant("Fuchsia ‘Low Water’", "soft", 40);
        browser.open("/plan?stock=" + plant.id() + "&wanted=1200&due=2027-06-01&sure=90");

        assertThat(browser.text("#cannot"))
                .contains("All that there is.")
                .contains("60 shoot tips: ")
                .contains("Fewer: ")
                .contains("Another stock plant: " + sister.code() + " bears 40 shoot tips more")
                .contains("Buy in: ")
                .contains("Build up: ");
        assertThat(browser.count("button[data-key=c]")).isOne();
        assertThat(browser.text("dl.answers dd a.num"))
                .as("all of it, and no more")
                .isEqualTo("60");

        browser.press("details:has(#have) summary");
        browser.type("have", "1900");
        browser.type("have-why", "a hedge of it by the gate");
        browser.press("form:has(#have) button");
        browser.untilAddress("have=1900");
        browser.open("/plan?stock=" + plant.id() + "&wanted=60&due=2027-06-01&sure=90&have=400&reason=by+the+gate");
        browser.untilText("dt", "Take");
        browser.press("button[data-key=c]");
        browser.untilText(".said", "Plan committed");
    }

    @Test
    void aMisspeltNameIsReadAndAnUnknownOneIsAGuess() {
        browser.open("/stock/new");
        browser.type("plant", "Fuchsja ‘Ebb’");
        browser.untilText("[data-kind-said]", "Read as Fuchsia");
        browser.type("plant", "Quibblewort");
        browser.untilText("[data-kind-said]", "does not know this name");

        StockPlantView unknown = plant("Quibblewort ‘Fog’", "soft", 40);
        browser.open("/plan?stock=" + unknown.id() + "&wanted=4&due=2027-06-01&sure=80");
        assertThat(browser.text("main")).contains("A guess: the guide does not know this plant");
    }

    @Test
    void aWayIsStruckOffWithAWordAndTakenBack() {
        browser.open("/stock/plants/" + fuchsia.plant().id());
        browser.script("document.querySelector(\"form[action$='/strike']\").closest('details').open = true");
        browser.type("word-tip cutting", "ours are all woody");
        browser.press("details[open] form[action$='/strike'] button");
        browser.untilText(".said", "tip cutting is struck off");
        browser.open("/plan?stock=" + fuchsia.id() + "&wanted=4&due=2027-06-01&sure=80");
        assertThat(browser.texts("section[aria-labelledby=ways] > .scroll td:first-child a"))
                .noneMatch(w -> w.startsWith("Tip cutting"));

        browser.open("/stock/plants/" + fuchsia.plant().id());
        browser.press("form[action$='/take-back'] button");
        browser.untilText(".said", "taken back");
    }

    @Test
    void twoPlantsThatAreOneAreMadeOne() {
        StockPlantView twin = plant("Fuchsia Skery Lantern " + System.nanoTime(), "soft", 30);
        browser.open("/stock/plants/" + twin.plant().id());
        browser.choose("into", fuchsia.plant().name());
        browser.press("form[action$='/merge'] button");
        browser.untilText(".said", "are one plant now");
        assertThat(in(() -> stock.find(twin.id())).orElseThrow().plant().name())
                .isEqualTo(fuchsia.plant().name());
    }

    @Test
    void aDivisionLowersTheGrowths() {
        StockPlantView orchid = plant("Cymbidium ‘Gun Deck’", "clumping-orchid", 12);
        browser.open("/plan?stock=" + orchid.id() + "&wanted=2&due=2027-12-01&sure=60");
        browser.untilText("h2", "ivision");
        browser.press("button[data-key=c]");
        browser.untilPath("/plan/");
        browser.type("takenOn", TODAY.toString());
        browser.type("taken", "2");
        browser.type("each", "4");
        browser.press("main button.main");
        browser.untilPath("/batches/");

        browser.open("/stock/" + orchid.id());
        assertThat(browser.text(".answers")).contains("bulbs or growths").contains("4");
        assertThat(in(() -> stock.find(orchid.id())).orElseThrow().piecesNow()).isEqualTo(4);
    }

    @Test
    void whatStandsInWaterIsLookedAtThroughTheGlass() {
        Protocol plugs = guide.protocol("tip-in-plugs").orElseThrow();
        BatchView batch = in(() -> batches.make(new NewBatch(
                fuchsia.plant(),
                Growing.newBatch(plugs, fuchsia, 12, TODAY, TODAY).origin(),
                fuchsia.place().id(),
                new HowDone(
                        plugs.key(),
                        plugs.version(),
                        plugs.method(),
                        "water",
                        Treatments.NONE,
                        "water, not plug compost",
                        null),
                Growing.newBatch(plugs, fuchsia, 12, TODAY.minusDays(20), TODAY.minusDays(20))
                        .taking(),
                Growing.newBatch(plugs, fuchsia, 12, TODAY, TODAY).vessel(),
                Growing.newBatch(plugs, fuchsia, 12, TODAY, TODAY).material(),
                Growing.newBatch(plugs, fuchsia, 12, TODAY, TODAY).guess())));
        browser.open("/batches/" + batch.code());

        assertThat(browser.text("section[aria-labelledby=next]"))
                .containsIgnoringCase("through the wall")
                .doesNotContainIgnoringCase("tug");
    }

    @Test
    void anAimIsSaidInOneLine() {
        plant("Fuchsia ‘Bollard Light’", "soft", 80);
        browser.open("/plan");
        browser.type("line", "24 bollard by 15 may");
        browser.press("form[action='/plan/line'] button");
        browser.untilText("h2", "Tip cutting");
        assertThat(browser.text(".read-as"))
                .contains("Read as: 24 from ")
                .contains("Fuchsia ‘Bollard Light’ (fuchsia), by Sat 15 May 2027");
        assertThat(browser.value("wanted")).isEqualTo("24");
        assertThat(browser.value("due")).isEqualTo("2027-05-15");
        browser.press("button[data-key=c]");
        browser.untilText(".said", "Plan committed");

        browser.open("/plan");
        browser.type("line", "24 bollard");
        browser.press("form[action='/plan/line'] button");
        browser.untilText(".warning", "By when?");
        assertThat(browser.value("wanted")).as("what was understood stands").isEqualTo("24");
    }

    @Test
    void anAimIsSaidWhereThingsAreFoundToo() {
        browser.open("/find?q=24+skerry+by+15+may");
        browser.press("a[href^='/plan/line']");
        browser.untilPath("/plan?line=");
        assertThat(browser.value("wanted")).isEqualTo("24");
        browser.open("/find?q=");
        assertThat(browser.text("h1")).isEqualTo("Find");
    }
}
