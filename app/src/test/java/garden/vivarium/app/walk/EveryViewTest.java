package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.platform.OnDatabase;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Every main view of the sample nursery: no barrier, no complaint, and something worth reading. */
@OnDatabase
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class EveryViewTest {

    @LocalServerPort
    private int port;

    @Autowired
    private DemoNursery demo;

    private Browser browser;

    @BeforeAll
    void signIn() {
        demo.fillOnce();
        browser = new Browser(port);
        browser.signIn(DemoNursery.SIGN_IN, DemoNursery.PASSWORD);
    }

    @AfterAll
    void leave() {
        browser.close();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/round",
                "/plan",
                "PLAN",
                "MAKING",
                "/promises",
                "SPLIT",
                "BUILD-UP",
                "RESCUE",
                "/plan/space",
                "/plan/materials",
                "/plan/outcomes",
                "/round/away?from=2026-06-20&back=2026-07-01",
                "/benches",
                "SHEET",
                "BENCH",
                "/stock",
                "/stock/new",
                "/stock/new?kind=LOT",
                "STOCK",
                "FAMILY",
                "CHANGE",
                "WRONG",
                "OFFSPRING",
                "/find?q=fu",
                "/shed?group=bulb",
                "/guide/methods/rhizome division",
                "/guide/jobs/soft/tip cutting",
                "/guide/schools",
                "/guide/own-slipway-plugs",
                "/guide/own-slipway-plugs/change",
                "/technique",
                "/shed",
                "/guide/pad-in-grit",
                "/records",
                "/calendar",
                "/nowhere"
            })
    void hasNoBarrierAndNoComplaint(String view) {
        open(view);
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.complaints().stream().filter(c -> !c.contains("404")))
                .isEmpty();
        browser.size(390, 844, true);
        open(view);
        assertThat(browser.width()).as("no page scrolls sideways on a phone").isEqualTo(390);
        browser.size(1280, 800, false);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/round",
                "PLAN",
                "/promises",
                "BUILD-UP",
                "/plan/space",
                "/plan/outcomes",
                "SHEET",
                "BENCH",
                "/technique",
                "STOCK",
                "FAMILY",
                "WRONG",
                "/guide/methods/tip cutting"
            })
    void hasNoBarrierInTheDark(String view) {
        browser.dark(true);
        open(view);
        assertThat(browser.barriers()).isEmpty();
        browser.dark(false);
    }

    @Test
    void theRoundHasWorkOfEachKind() {
        browser.open("/round");
        assertThat(browser.texts(".task .verb")).contains("Stick", "Move");
        assertThat(browser.text("main"))
                .containsPattern(
                        "(slower|fewer) than usual: \\d+ of \\d+ (are ready|show a [a-z ]+) where about \\d+ were to be expected")
                .contains("Too long");
    }

    @Test
    void techniqueShowsThreeYearsOfBatchesAndTheirWays() {
        browser.open("/technique");
        assertThat(browser.count("tr[data-way]")).isGreaterThanOrEqualTo(40);
        int batches = browser.texts("tr[data-way] td:nth-child(5)").stream()
                .mapToInt(Integer::parseInt)
                .sum();
        assertThat(batches).isBetween(170, 200);
        assertThat(browser.count(".curve .rough-a")).isOne();
    }

    @Test
    void theDemoIsFilledOnlyOnce() {
        browser.open("/stock");
        int before = browser.count("main tbody tr");
        demo.fillOnce();
        browser.open("/stock");
        assertThat(browser.count("main tbody tr")).isEqualTo(before);
    }

    private void open(String view) {
        switch (view) {
            case "MAKING" -> {
                browser.open("/stock");
                browser.press("a[aria-label='Plan from FUC-1']");
                browser.untilText("h2", "What could be made of it today");
            }
            case "PLAN" -> {
                browser.open("/stock");
                browser.press("a[aria-label='Plan from FUC-1']");
                browser.untilPath("/plan?stock=");
                browser.open(browser.path() + "&wanted=24&due=2026-09-01&sure=90");
            }
            case "SPLIT" -> {
                open("PLAN");
                browser.press("section[aria-labelledby=split] button");
            }
            case "BUILD-UP" -> {
                open("PLAN");
                browser.follow("Build up");
                browser.choose("stock", "Fuchsia");
                browser.type("wanted", "400");
                browser.type("due", "2027-09-01");
                browser.untilText("dt", "Reached in half the runs");
            }
            case "RESCUE" -> {
                open("PLAN");
                browser.follow("Rescue");
                browser.choose("stock", "Philodendron");
                browser.untilAddress("stock=");
                browser.open(browser.path() + "&TIP=2&BARE=3&alone=40&cut=20");
                browser.untilText("h2", "Will something live");
            }
            case "SHEET" -> {
                browser.open("/benches");
                browser.press("main td a");
                browser.untilPath("/batches/");
            }
            case "STOCK" -> {
                browser.open("/stock");
                browser.follow("FUC-1");
            }
            case "FAMILY" -> {
                open("STOCK");
                browser.follow("Family");
                browser.until(d -> browser.count("svg.family a") > 5);
            }
            case "CHANGE" -> {
                open("STOCK");
                browser.follow("Change");
            }
            case "WRONG" -> {
                open("SHEET");
                browser.follow("What is wrong with it?");
                browser.follow("Base black and soft");
            }
            case "OFFSPRING" -> {
                open("SHEET");
                browser.follow("Keep or cut again");
            }
            case "BENCH" -> {
                open("SHEET");
                browser.open(browser.path() + "/check");
            }
            default -> browser.open(view.replace(" ", "%20"));
        }
    }
}
