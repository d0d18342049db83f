package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.platform.OnDatabase;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A test at the views of the sample nursery, in one browser. What it looks at it must not change: others look too. */
@OnDatabase
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@ExtendWith(IdleBrowsers.class)
abstract class AtTheSampleNursery {

    @LocalServerPort
    private int port;

    @Autowired
    DemoNursery demo;

    Browser browser;

    /** Where views that are walked to were found. */
    private final Map<String, String> found = new HashMap<>();

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

    /** No barrier, no complaint and no quirks at a desk; no barrier and nothing too wide on a phone. */
    void lookOver(String view) {
        open(view);
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.complaints().stream().filter(c -> !c.contains("404")))
                .isEmpty();
        assertThat(browser.script("return document.compatMode")).isEqualTo("CSS1Compat");
        assertThat(outsideFolds())
                .as("words before symbols")
                .doesNotContainPattern("[Α-ω]|P\\(|[≤≥⌈]|\\d{4}-\\d\\d-\\d\\d");
        // Turned into a phone where it stands: what a page shows follows from its width alone.
        browser.size(390, 844, true);
        assertThat(browser.barriersOfAPhone()).as("on a phone").isEmpty();
        assertThat(browser.width()).as("no page scrolls sideways on a phone").isEqualTo(390);
        browser.size(1280, 800, false);
    }

    /** What a page says where nothing is opened. */
    private String outsideFolds() {
        return (String)
                browser.script("const page = (document.querySelector('.page') ?? document.body).cloneNode(true);"
                        + " page.querySelectorAll('details, script, input, select, svg').forEach((e) => {"
                        + " const s = e.querySelector(':scope > summary'); if (s) { e.before(s); } e.remove(); });"
                        + " return page.textContent;");
    }

    /** Opens a view by its address or, where that depends on what is there, by its name. */
    void open(String view) {
        if (found.containsKey(view)) {
            browser.open(found.get(view));
        } else {
            walkTo(view);
            found.put(view, browser.path());
        }
    }

    private void walkTo(String view) {
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
