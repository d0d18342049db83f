package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.stock.StockPlantView;
import org.junit.jupiter.api.Test;

/** A soak that is started at one page counts down on all of them. */
class TimersTest extends AtThePages {

    @Test
    void twoTimersCountOnEveryPageAndAfterAReload() {
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        String code = in(() -> Growing.tray(batches, guide, fuchsia, 4, 6, TODAY.minusDays(20)))
                .code();
        browser.open("/batches/" + code);
        browser.untilShown("timer-minutes");
        start("20", "soak");
        start("5", "drain");
        browser.until(d -> browser.count(".timers p") == 2);
        assertThat(browser.texts(".timers strong")).containsExactly(code + " drain", code + " soak");

        for (String page : new String[] {"/round", "/stock/" + fuchsia.id(), "/batches/" + code + "/check"}) {
            browser.open(page);
            browser.until(d -> browser.count(".timers p") == 2);
            assertThat(browser.text(".timers p")).matches(code + " drain [45]:[0-9]{2} Stop");
            assertThat((String) browser.script("return document.title")).matches("[45]:.*" + code + " drain.*");
        }

        browser.open("/round");
        browser.script("""
                const key = Object.keys(localStorage).find((k) => k.startsWith('vivarium.timers'));
                const all = JSON.parse(localStorage.getItem(key));
                all[0].ends = Date.now() - 65000;
                localStorage.setItem(key, JSON.stringify(all));""");
        browser.untilText(".timers p", "over since 1:0");
        assertThat((String) browser.script("return document.title")).startsWith("Over: " + code + " drain");
        browser.press(".timers button");
        browser.until(d -> browser.count(".timers p") == 1);
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aStepThatSaysHowLongStartsItsTimerByOneTouch() {
        browser.open("/guide/scale-in-vermiculite");
        browser.until(d -> browser.count("[data-timer-now]:not([hidden])") == 1);
        assertThat(browser.text("[data-timer-now]")).isEqualTo("Start 1 h");
        browser.press("[data-timer-now]");
        browser.until(d -> browser.texts(".timers p").stream().anyMatch(t -> t.startsWith("Bulb scale")));
        assertThat(browser.texts(".timers p").stream().filter(t -> t.startsWith("Bulb scale")))
                .singleElement()
                .asString()
                .contains("Bulb scale in vermiculite: Let them dry for an hour")
                .containsPattern("(59:[0-9]{2}|1:00:00) Stop");
        assertThat(browser.complaints()).isEmpty();
    }

    private void start(String minutes, String what) {
        browser.type("timer-minutes", minutes);
        browser.type("timer-what", what);
        browser.script("document.querySelector('form[data-timer-start] button').click()");
    }
}
