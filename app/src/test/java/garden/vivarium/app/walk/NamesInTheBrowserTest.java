package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.timing.Climate;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Names as growers type them, where a nursery has a few plants whose names hold the same words. */
@Order(2)
class NamesInTheBrowserTest extends AtThePages {

    @BeforeEach
    void aFewPlantsStand() {
        if (in(() -> stock.all()).isEmpty()) {
            for (String name : new String[] {
                "Moth orchid ‘Spindrift’", "Pink ‘Tideline’", "Bearded iris ‘Groyne’", "Rosemary ‘Bollard’"
            }) {
                in(() -> stock.add(new StockPlantForm(
                        new StockPlantForm.Name(name, null, null, false, null, false),
                        new StockPlantForm.Rights(Protection.FREE, null),
                        StockKind.PLANT,
                        null,
                        new StockPlantForm.Stands("Bench", Climate.HEATED),
                        new StockPlantForm.Condition(20, StockState.GROWING, null),
                        null)));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "6 pink rock orchid by 1 June 2027, Dendrobium",
        "12 flytraps by 1 June 2027, Venus flytrap",
        "8 elephant bush by 1 June 2027, Portulacaria",
        "5 snake plants by 1 June 2027, Snake plant",
        "3 swiss cheese plants by 1 June 2027, Monstera",
        "3 panda plants by 1 June 2027, Panda plant",
        "6 tuberous begonias by 1 June 2027, Tuberous begonia"
    })
    void aKindThatIsNotInStockIsAddedAndPlannedAtOnce(String line, String kind) {
        browser.open("/plan");
        browser.type("line", line);
        browser.press("form[action='/plan/line'] button");
        browser.untilText(".choices", "Add " + kind + " to stock and plan");
        assertThat(browser.count(".choices button")).isEqualTo(1);
        browser.press(".choices button");
        browser.untilText(".said", kind + " is in stock as");
        assertThat(browser.text(".read-as")).contains("Read as: ").contains(kind);
        assertThat(browser.value("due")).isEqualTo("2027-06-01");
        assertThat(browser.complaints()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "72 german ivy plugs, Cape ivy, Plectranthus",
        "4 rock roses, Rock rose, Cistus",
        "6 mother of thousands, Mother of thousands, Mother of thousands saxifrage"
    })
    void aNameOfSeveralIsAsked(String line, String one, String other) {
        browser.open("/plan");
        browser.type("line", line + " by 1 June 2027");
        browser.press("form[action='/plan/line'] button");
        browser.untilText(".choices", "Add " + one + " to stock and plan");
        assertThat(browser.text(".choices")).contains("Add " + other + " to stock and plan");
        assertThat(browser.count(".read-as")).isZero();
    }

    @Test
    void aNameThatNobodyKnowsBehavesLikeAKindAndIsKept() {
        browser.open("/plan");
        browser.type("line", "6 ropewalk creepers by 1 June 2027");
        browser.press("form[action='/plan/line'] button");
        browser.untilText(".warning", "Nobody here, nor the guide, knows that name");
        browser.follow("add it to stock");
        browser.until(d -> !browser.value("plant").isEmpty());
        browser.untilText("[data-kind-said]", "Say which kind it behaves like");
        browser.type("kind-other", "pothos");
        browser.type("place", "Bench");
        browser.press("form[data-kind-form] button.main");
        browser.untilText(".lead", "Taken for Pothos");

        browser.open("/stock/new");
        browser.type("plant", "Ropewalk creeper ‘Hemp’");
        browser.untilText("[data-kind-said]", "Pothos");
        browser.open("/guide/kinds?by=group");
        browser.untilText("h2", "Aroid houseplant");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void whatIsSownIsSaidToBe() {
        browser.open("/plan");
        browser.type("line", "40 sunflowers by 1 June 2027");
        browser.press("form[action='/plan/line'] button");
        browser.untilText(".warning", "It is raised by seed, not by pieces");
        assertThat(browser.count(".choices button")).isZero();
        assertThat(browser.text("main"))
                .as("nobody is asked for a plant to cut from")
                .doesNotContain("Choose the stock plant.");
    }

    @Test
    void aNewStockPlantIsAskedWhichOfSeveralItIs() {
        browser.open("/stock/new");
        browser.type("plant", "pink rock orchid");
        browser.untilText("[data-kind-said]", "Dendrobium");
        browser.type("plant", "cobra lily");
        browser.untilText("[data-kind-choices]", "Darlingtonia");
        browser.type("place", "Bench");
        browser.press("form[data-kind-form] button.main");
        browser.untilText(".error", "may mean several kinds");
        assertThat(browser.value("plant")).isEqualTo("cobra lily");
        browser.script("document.querySelector(\"[name='name.kind'][value='jack-in-the-pulpit']\").click()");
        browser.press("form[data-kind-form] button.main");
        browser.untilText(".said", "cobra lily");
        assertThat(browser.text("main")).contains("Jack-in-the-pulpit");
    }

    @Test
    void severalPlantsAreWrittenDownAtOnceAndWhatIsNotClearStays() {
        browser.open("/stock/several");
        browser.script(
                "document.getElementById('list').value = \"2 hostas\\ngeranium\\njade plant, moth orchid ‘Lantern’\"");
        browser.type("place", "Bench");
        browser.press("main button.main");
        browser.untilText(".said", "4 stock plants are added: HOS-1, HOS-2, JAD-1");
        assertThat(browser.value("list")).isEqualTo("geranium");
        assertThat(browser.text(".warning")).contains("pelargonium (Pelargonium)", "cranesbill");
        assertThat(in(() -> stock.plants()).stream().map(p -> p.name()))
                .contains("Hosta", "Jade plant", "Moth orchid ‘Lantern’");
    }

    @Test
    void plantsThatSeemTheSameAreMadeOneInTwoTouches() {
        in(() -> stock.plantNamed("Penstemon ‘Fairway’", "soft"));
        in(() -> stock.plantNamed("Penstemons", "soft"));
        browser.open("/stock");
        browser.press("main details summary");
        browser.press("main details form button");
        browser.untilText(".said", "are one plant now: Penstemon ‘Fairway’");
        assertThat(in(() -> stock.plants()).stream().map(p -> p.name())).doesNotContain("Penstemons");
    }
}
