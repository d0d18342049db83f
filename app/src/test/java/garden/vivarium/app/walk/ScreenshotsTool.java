package garden.vivarium.app.walk;

import garden.vivarium.app.climate.Reading;
import garden.vivarium.app.climate.Readings;
import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.simulate.PlaceWeather;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
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

    @Autowired
    private Readings readings;

    @Autowired
    private Stock stock;

    @Autowired
    private CurrentNursery current;

    @Autowired
    private Today today;

    private static final String ORCHID =
            "1,120,230,;2,182,230,;3,244,230,rf;4,306,230,rf;5,368,230,rf;6,430,225,rlf;7,350,170,f;"
                    + "8,405,130,rf;9,465,100,rlf|1-2,2-3,3-4,4-5,5-6,4-7,7-8,8-9";

    @Test
    void mainViews(@TempDir Path profile) throws Exception {
        Path folder = Path.of(System.getProperty("vivarium.screenshots", "target/screenshots"));
        Files.createDirectories(folder);
        UUID sample = demo.fillOnce();
        String airOf = measured(sample);
        // The one that people use: letters stand a little otherwise in the one of the tests.
        try (Browser browser = new Browser(port, profile)) {
            browser.signIn(DemoNursery.SIGN_IN, DemoNursery.PASSWORD);
            take(browser, folder, "round", "/round");
            take(browser, folder, "benches", "/benches");
            take(browser, folder, "bench-map", "/benches/map");
            take(browser, folder, "stock", "/stock");
            take(browser, folder, "technique", "/technique");
            take(browser, folder, "difference", "/technique/difference");
            take(browser, folder, "practice", "/technique/practice?protocol=tip-in-plugs&seed=3&day=27&acts=24L24M27L");
            browser.open("/stock");
            browser.press("a[aria-label='Plan from FUC-1']");
            browser.untilPath("/plan?stock=");
            browser.open(browser.path() + "&wanted=24&due=2026-09-01&sure=90");
            browser.press("a.num[href='#why-take']");
            snap(browser, folder, "plan");

            take(browser, folder, "promises", "/promises");
            browser.open("/stock");
            browser.follow("ROS-1");
            snap(browser, folder, "stock-sheet");

            // An orchid as it lies, and where it could be cut.
            browser.open("/stock");
            browser.follow("DEN-1");
            browser.follow("Divide");
            browser.until(d -> browser.count("[data-divide-do]") > 0);
            browser.open(browser.path() + "?drawn=" + URLEncoder.encode(ORCHID, StandardCharsets.UTF_8)
                    + "&form=CREEPING&away=2&sure=70&step=3");
            browser.until(d -> browser.count(".divide-small") > 3);
            snap(browser, folder, "division");
            browser.open("/benches/air/" + airOf);
            browser.until(d -> browser.count(".air-mean") > 0);
            snap(browser, folder, "place-week");

            // The fuchsia that lags: behind its usual, in a tray.
            browser.open("/benches");
            String code = browser.script(
                            "return [...document.querySelectorAll('main tr')].find(r => r.querySelector('.behind'))?.querySelector('td a').textContent"
                                    + " ?? document.querySelector('main td a').textContent")
                    .toString();
            take(browser, folder, "batch-sheet", "/batches/" + code);
            take(browser, folder, "potting-up", "/batches/" + code + "/pot");
            take(browser, folder, "label", "/batches/" + code + "/label");
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

    /** A fortnight of readings at one place, and where on the globe that is. */
    private String measured(UUID sample) {
        return current.workingFor(sample, () -> {
            UUID place = stock.places().stream()
                    .filter(p -> p.name().equals("Glasshouse, mist bench"))
                    .findFirst()
                    .orElseThrow()
                    .id();
            readings.isAt(57.3, 14);
            PlaceWeather weather = new PlaceWeather(57, 57.3, 17, 9, 92);
            List<Reading> read = new ArrayList<>();
            for (int minutes = 14 * 1440; minutes >= 0; minutes -= 20) {
                Instant at = today.now().minus(minutes, ChronoUnit.MINUTES);
                PlaceWeather.Reading r = weather.at(at.atOffset(ZoneOffset.UTC).toLocalDateTime());
                read.add(new Reading(at, r.warmth(), r.humidity(), r.light()));
            }
            readings.keep(place, read);
            return place.toString();
        });
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
