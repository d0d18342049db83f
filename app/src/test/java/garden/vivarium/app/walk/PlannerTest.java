package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.stock.StockPlantView;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** The planner at the pages: from an aim to a plan, a hedge, a build-up, a promise at risk. */
@Order(2)
class PlannerTest extends AtThePages {

    private StockPlantView fuchsia;

    @BeforeEach
    void aStockPlant() {
        fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Lamp " + System.nanoTime() + "’"));
    }

    @Test
    void fromAnAimToAPlanByKeyboardInADozenActions() {
        AtomicInteger actions = new AtomicInteger();
        browser.open("/round");
        act(actions, "2");
        browser.untilPath("/plan");
        act(actions, "n");
        act(actions, fuchsia.plant().name());
        act(actions, Keys.TAB);
        act(actions, "24");
        act(actions, Keys.TAB);
        act(actions, Keys.TAB);
        // The same day whether days or months are written first.
        act(actions, "09092026");
        act(actions, Keys.ENTER);
        browser.untilText("dt", "Chance in time");
        browser.script("document.activeElement.blur()");
        act(actions, "c");
        browser.untilText(".said", "Plan committed");

        assertThat(actions.get()).isLessThanOrEqualTo(12);
        browser.open("/plan");
        assertThat(browser.texts("section[aria-labelledby=waiting] td"))
                .anyMatch(t -> t.startsWith(fuchsia.plant().name()));
    }

    private void act(AtomicInteger actions, CharSequence keys) {
        actions.incrementAndGet();
        browser.keys(keys);
    }

    @Test
    void aDayThatIsTooSoonSaysWhichWouldDo() {
        browser.open("/plan?stock=" + fuchsia.id() + "&wanted=30&due=2026-06-24&sure=90");
        browser.untilText("#cannot", "Too soon.");

        assertThat(browser.text("#cannot")).contains("More pieces are no answer");
        assertThat(browser.texts("#cannot li"))
                .anyMatch(t -> t.startsWith("Later: "))
                .anyMatch(t -> t.startsWith("If the day stands: buy in 30 rooted plants"))
                .noneMatch(t -> t.contains("more would do"));
        assertThat(browser.count("button[data-key=c]")).as("nothing to commit").isZero();
        assertThat(browser.texts("section[aria-labelledby=ways] .behind")).anyMatch(t -> t.startsWith("Too soon: "));
    }

    @Test
    void allThatThereIsIsAnAnswerAndCanBeCommitted() {
        browser.open("/plan?stock=" + fuchsia.id() + "&wanted=120&due=2026-10-01&sure=90");
        browser.untilText("#cannot", "All that there is.");

        assertThat(browser.text("#cannot"))
                .contains("80 shoot tips: ")
                .contains("grow as often as not")
                .contains("nearly always");
        assertThat(browser.text("dl.answers")).contains("Take").contains("80");
        assertThat(browser.texts("#cannot li")).anyMatch(t -> t.startsWith("Fewer: "));
        assertThat(browser.count("button[data-key=c]")).isEqualTo(1);
    }

    @Test
    void threeCertaintiesStandSideBySideAndTheChosenOneIsRemembered() {
        browser.open("/plan?stock=" + fuchsia.id() + "&wanted=24&due=2026-10-01&sure=90");
        browser.untilText(".certainties", "Nine times in ten: ");
        List<String> said = browser.texts(".certainties a");
        assertThat(said).hasSize(3);
        assertThat(said.get(0)).startsWith("As often as not: ");
        int half = Integer.parseInt(said.get(0).replaceAll("\\D", ""));
        int nine = Integer.parseInt(said.get(2).replaceAll("\\D", ""));
        assertThat(half).isBetween(24, 30);
        assertThat(nine).isGreaterThan(half).isLessThan(48);
        assertThat(browser.text(".certainties [aria-current]")).startsWith("Nine times in ten");

        browser.press(".certainties a:nth-of-type(2)");
        browser.untilAddress("sure=75");
        browser.press("button[data-key=c]");
        browser.untilText(".said", "Plan committed");
        browser.open("/plan?stock=" + fuchsia.id());
        assertThat(browser.value("sure")).isEqualTo("75");
    }

    @Test
    void theDayAskedForIsRootedOrSettled() {
        browser.open("/plan");
        browser.type("line", "12 rooted FUC-1 by 1 October 2026");
        browser.press("form[action='/plan/line'] button");
        browser.untilAddress("until=ROOTED");
        assertThat(browser.value("until")).isEqualTo("ROOTED");
        assertThat(browser.text("section[aria-labelledby=answer]")).contains("Take");
    }

    @Test
    void aPlanIsSplitAndBothHalvesAreCommittedForSomebody() {
        browser.open("/plan?stock=" + fuchsia.id() + "&wanted=16&due=2026-10-01&sure=80&way=tip-in-plugs");
        browser.choose("with", "Tip cutting in water");
        browser.untilText("section[aria-labelledby=split] p", "in all");
        assertThat(browser.text("section[aria-labelledby=split]"))
                .contains("As many in one batch")
                .contains("Less than half of what is wanted");
        browser.type("split-for", "Lantern walk");
        browser.press("section[aria-labelledby=split] button.main:not([data-key])");
        browser.untilText(".said", "Both halves are committed");

        browser.open("/promises");
        assertThat(browser.texts(".promise")).anyMatch(t -> t.contains("Lantern walk"));
        String row = browser.texts(".promise").stream()
                .filter(t -> t.contains("Lantern walk"))
                .findFirst()
                .orElseThrow();
        assertThat(row).containsPattern("from the plan of .* from the plan of ");
    }

    @Test
    void theSameWayOnTheSameDayIsNoHedge() {
        browser.open("/plan?stock=" + fuchsia.id()
                + "&wanted=16&due=2026-10-01&sure=80&way=tip-in-plugs&with=tip-in-plugs&later=0");

        browser.untilText(".error", "One way on one day is one batch");
    }

    @Test
    void aBuildUpSaysWhenAndHowManyToKeep() {
        browser.open("/plan/build-up?stock=" + fuchsia.id());
        browser.type("wanted", "400");
        browser.type("plants", "3");
        browser.type("flush", "10");
        browser.type("due", "2028-03-01");
        browser.untilText("dt", "New stock plants to keep");

        assertThat(browser.texts("dl.answers dd").get(3)).matches("\\d+(, then \\d+)*");
        assertThat(browser.count("svg path.build-band")).isOne();
        browser.press("a.num[href='#why-when']");
        browser.untilText("#why-when li", "A flush of the stock there is");
    }

    @Test
    void aPromiseAtRiskIsMendedFromTheRound() {
        BatchView batch = in(() -> batches.make(Growing.newBatch(
                guide.protocol("tip-in-plugs").orElseThrow(), fuchsia, 16, TODAY.minusDays(20), TODAY.minusDays(20))));
        browser.open("/promises");
        browser.type("who", "Harvest home");
        browser.type("plant", fuchsia.plant().name());
        browser.type("plants", "15");
        browser.type("due", TODAY.plusDays(80).toString());
        browser.press("section[aria-labelledby=new] button");
        browser.untilText(".said", "Promised");
        assertThat(browser.texts(".promise"))
                .anyMatch(t -> t.contains("Harvest home") && t.contains("from " + batch.code()));

        browser.open("/round");
        browser.press("[data-code='Harvest home'] form button");
        browser.untilPath("/plan/");
        browser.untilText(".said", "planned for it");
        browser.press("form button.main");
        browser.untilPath("/batches/");

        browser.open("/round");
        assertThat(browser.count("[data-code='Harvest home']"))
                .as("no longer at risk")
                .isZero();
    }

    @Test
    void aPromiseThatCannotBeIsRefusedAndNothingTypedIsLost() {
        browser.open("/promises");
        browser.script(
                "document.querySelectorAll('section[aria-labelledby=new] input').forEach(i => { i.required = false; i.removeAttribute('max'); })");
        browser.type("who", "Nobody in particular");
        browser.type("plant", fuchsia.plant().name());
        browser.type("plants", "1000000");
        browser.press("section[aria-labelledby=new] button");
        browser.untilText(".refused", "Promise 1 to 5,000 plants");

        browser.until(d -> browser.value("who").equals("Nobody in particular"));
        assertThat(browser.value("plants")).isEqualTo("1000000");
    }

    @Test
    void aPlanIsChangedAndItsPromiseFollows() {
        browser.open("/plan?stock=" + fuchsia.id() + "&wanted=10&due=2026-10-01&sure=80&way=tip-in-plugs");
        browser.type("for-whom", "Equinox");
        browser.press("button[data-key=c]");
        browser.untilText(".said", "promised to Equinox");
        browser.open("/plan");
        browser.press("a[href*='stock=" + fuchsia.id() + "'][href*='replaces']");
        browser.untilAddress("replaces=");
        browser.type("start", "2026-06-20");
        browser.untilAddress("start=2026-06-20");
        browser.press("button[data-key=c]");
        browser.untilText(".said", "The plan is changed");
        assertThat(browser.text(".said")).contains("20 Jun");
    }
}
