package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.timing.Climate;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What cannot be is answered in words that name the remedy, never with a broken page. */
class BadInputTest extends AtThePages {

    private StockPlantView plant;

    @BeforeAll
    void somethingGrows() {
        plant = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            wanted=0&due=2026-09-01&sure=90         | Give 1 or more young plants
            wanted=1000000&due=2026-09-01&sure=90   | Give at most 5,000 young plants
            wanted=24&due=2026-09-01&sure=100       | Nothing that grows is 100% sure
            wanted=24&due=2020-01-01&sure=90        | is not after the start; give a later day
            wanted=24&due=2099-01-01&sure=90        | more than 5 years ahead
            wanted=24&due=2026-09-01&sure=90&start=2024-01-01 | is more than 400 days ago
            wanted=900&perPot=9&due=2026-09-01&sure=90 | one plan holds 5,000
            due=2026-09-01&sure=90                  | Say how many young plants are wanted
            """)
    void anAimThatCannotBeIsAnsweredInWords(String aim, String words) {
        browser.open("/plan?stock=" + plant.id() + "&" + aim);

        assertThat(browser.texts(".error")).anySatisfy(e -> assertThat(e).contains(words));
        assertThat(browser.script("return [...document.querySelectorAll('.error')].filter(e => e.id"
                        + " && !document.querySelector(`[aria-describedby='${e.id}']`)).map(e => e.id).join()"))
                .as("every error is tied to its field")
                .isEqualTo("");
        assertThat(browser.count("section[aria-labelledby=answer]")).isZero();
    }

    @ParameterizedTest
    @CsvSource({"0", "-4", "2001"})
    void whatNobodyTakesInAnAfternoonIsRefusedInWords(String pieces) {
        browser.open("/plan?stock=" + plant.id() + "&take=" + pieces);
        assertThat(browser.text("#making-error")).contains("Take 1 to 2,000 pieces");
        assertThat(browser.value("pieces-today"))
                .as("a third of the 80 it bears")
                .isEqualTo("26");
    }

    @Test
    void anUnknownStockPlantIsSaid() {
        browser.open("/plan?stock=00000000-0000-0000-0000-000000000001&wanted=24&due=2026-09-01&sure=90");
        assertThat(browser.text(".error")).contains("choose one from the list");
    }

    @ParameterizedTest
    @CsvSource({
        "/plan?wanted=many&due=soon&sure=90, wanted",
        "/plan?stock=that-one&wanted=24&due=2026-09-01, stock",
        "/stock/that-one, id",
        "/plan?by=LUCK, by",
    })
    void whatNoPageSendsIsAnsweredWithAPageThatNamesTheField(String address, String field) {
        browser.open(address);
        assertThat(browser.text("h1")).isEqualTo("That cannot be read");
        assertThat(browser.text("main")).contains(field).contains("digits only");
    }

    @Test
    void aStockPlantThatBearsNothingIsSaidWithTheRemedy() {
        StockPlantView bare = in(() -> stock.add(new StockPlantForm(
                "Fuchsia ‘Bare Spar’",
                "soft",
                Protection.FREE,
                null,
                new StockPlantForm.Stands("Bench", Climate.HEATED),
                new StockPlantForm.Condition(0, StockState.GROWING, null),
                null)));
        browser.open("/plan?stock=" + bare.id() + "&wanted=12&due=2026-09-01&sure=80");

        assertThat(browser.text("#cannot"))
                .contains("This cannot be done")
                .contains("bears no shoot tips now")
                .contains("Let it grow, or choose another stock plant")
                .contains("What could be done instead");
        assertThat(browser.count("button[data-key=c]")).as("nothing to commit").isZero();
    }

    @Test
    void aProtectedVarietyIsNotPlannedWithoutItsLicence() {
        StockPlantView guarded = in(() -> stock.add(new StockPlantForm(
                "Fuchsia ‘Harbour Licence’",
                "soft",
                Protection.PROTECTED,
                null,
                new StockPlantForm.Stands("Bench", Climate.HEATED),
                new StockPlantForm.Condition(90, StockState.GROWING, null),
                null)));
        browser.open("/plan?stock=" + guarded.id() + "&wanted=12&due=2026-09-01&sure=80");
        assertThat(browser.text("main")).contains("not propagated for sale without its breeder");
        browser.press("button[data-key=c]");
        browser.untilText(".error", "not propagated for sale");
        browser.type("reason", "for study");
        browser.press("button[data-key=c]");
        browser.untilPath("/plan/");
    }

    @Test
    void aPlantInQuarantineIsCutOnlyWithAWord() {
        StockPlantView shut = in(() -> stock.add(new StockPlantForm(
                "Fuchsia ‘Quay Guest’",
                "soft",
                Protection.FREE,
                null,
                new StockPlantForm.Stands("Bench", Climate.HEATED),
                new StockPlantForm.Condition(90, StockState.IN_FLOWER, TODAY.plusDays(20)),
                null)));
        browser.open("/plan?stock=" + shut.id() + "&wanted=12&due=2026-09-01&sure=80");
        assertThat(browser.texts(".warning"))
                .anySatisfy(w -> assertThat(w).contains("In quarantine until Sun 5 Jul"))
                .anySatisfy(w -> assertThat(w).contains("In flower"));
        browser.press("button[data-key=c]");
        browser.untilText(".error", "say why not");
        assertThat(browser.value("wanted")).isEqualTo("12");
    }
}
