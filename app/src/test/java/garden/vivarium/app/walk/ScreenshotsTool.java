package garden.vivarium.app.walk;

import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.platform.OnDatabase;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Takes one picture of each main view of the sample nursery on a fixed day; run by {@code ./vivarium screenshots}. */
@OnDatabase
class ScreenshotsTool {

    @LocalServerPort
    private int port;

    @Autowired
    private DemoNursery demo;

    @Test
    void mainViews() throws Exception {
        Path folder = Path.of(System.getProperty("vivarium.screenshots", "target/screenshots"));
        Files.createDirectories(folder);
        demo.fillOnce();
        try (Browser browser = new Browser(port)) {
            browser.signIn(DemoNursery.SIGN_IN, DemoNursery.PASSWORD);
            take(browser, folder, "round", "/round");
            take(browser, folder, "benches", "/benches");
            take(browser, folder, "bench-map", "/benches/map");
            take(browser, folder, "stock", "/stock");
            take(browser, folder, "technique", "/technique");
            browser.open("/stock");
            browser.press("a[aria-label='Plan from FUC-1']");
            browser.untilPath("/plan?stock=");
            browser.open(browser.path() + "&wanted=24&due=2026-09-01&sure=90");
            browser.press("a.num[href='#why-take']");
            snap(browser, folder, "plan");

            String plan = browser.path();
            take(browser, folder, "cannot-be-done", plan.replace("wanted=24", "wanted=1200"));
            take(browser, folder, "promises", "/promises");
            browser.open("/stock");
            browser.follow("ROS-1");
            snap(browser, folder, "stock-sheet");

            // Two jars on the sill, and a batch put right.
            browser.open("/stands");
            jar(browser, "FUC-1", "12", "4", "3w");
            jar(browser, "Hoya ‘Pearl Drift’", "5", "", "early May");
            snap(browser, folder, "it-stands-already");

            // Somebody's notebook, as it was written.
            browser.open("/records");
            browser.upload("file", notebook());
            browser.press("main button.main");
            browser.untilPath("/records/");
            snap(browser, folder, "a-notebook-in");

            // The fuchsia that lags: behind its usual, in a tray.
            browser.open("/benches");
            String code = browser.script(
                            "return [...document.querySelectorAll('main tr')].find(r => r.querySelector('.behind'))?.querySelector('td a').textContent"
                                    + " ?? document.querySelector('main td a').textContent")
                    .toString();
            take(browser, folder, "batch-sheet", "/batches/" + code);
            take(browser, folder, "potting-up", "/batches/" + code + "/pot");
            take(browser, folder, "label", "/batches/" + code + "/label");
            browser.open("/batches/" + code + "/pot");
            browser.press("main button.main");
            browser.untilPath("/batches/" + code);
            browser.press("#moves tbody a");
            snap(browser, folder, "young-plants");
            browser.open("/batches/" + code);
            browser.follow("What is wrong with it?");
            browser.follow("Base black and soft");
            snap(browser, folder, "what-is-wrong");
            browser.open("/batches/" + code + "/check");
            browser.until(d -> browser.count(".cell") > 0);
            browser.keys(Keys.ARROW_RIGHT, "2", Keys.ARROW_RIGHT, "x", "r");
            snap(browser, folder, "bench-mode");
            browser.size(390, 844, true);
            browser.open("/batches/" + code + "/check");
            browser.until(d -> browser.count(".cell") > 0);
            // Without a connection, as it is in the far tunnel.
            browser.script(
                    "window.realFetch = window.fetch; window.fetch = () => Promise.reject(new TypeError('offline'))");
            browser.keys("2", Keys.ARROW_RIGHT, "2", Keys.ARROW_RIGHT, "1", Keys.ENTER, Keys.ENTER);
            browser.untilText("[data-line]", "it is kept here");
            snap(browser, folder, "bench-mode-phone");
            browser.script("window.fetch = window.realFetch");
            take(browser, folder, "round-phone", "/round");
        }
    }

    private static Path notebook() throws IOException {
        return Files.writeString(Files.createTempDirectory("vivarium").resolve("notebook.csv"), """
                Variety;Potted;Started;What;Into;No.;OK;Remarks;weather
                Fuchsia ‘Skery Lantern’;3/5/2025;12/4/2025;tip cuttings;perlite/compost 50:50;24;18;good roots;wet
                Sage ‘Grey Gull’;20/6/2025;June 2025;tip;sphagnum;10;7;late;dry
                Rosemary ‘Wrack Line’;1/9/2025;1/8/2025;semi ripe;half bark half gravel;30;22;;windy
                """);
    }

    private static void jar(Browser browser, String plant, String pieces, String rooted, String when) {
        int before = browser.count("section[aria-labelledby=written] tbody tr");
        browser.type("plant", plant);
        browser.type("pieces", pieces);
        browser.type("rooted", rooted);
        browser.type("when", when);
        browser.type("place", "Kitchen sill");
        browser.press("main form.fields button.main");
        browser.until(d -> browser.count("section[aria-labelledby=written] tbody tr") == before + 1);
    }

    private static void take(Browser browser, Path folder, String name, String path) throws Exception {
        browser.open(path);
        snap(browser, folder, name);
    }

    private static void snap(Browser browser, Path folder, String name) throws Exception {
        browser.script("return document.fonts.ready");
        Thread.sleep(500);
        browser.picture(folder.resolve(name + ".png"));
    }
}
