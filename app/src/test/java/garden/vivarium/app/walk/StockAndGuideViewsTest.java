package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Views of stock, guide and technique: no barrier, no complaint; and the main ones can be read in the dark. */
@Order(1)
class StockAndGuideViewsTest extends AtTheSampleNursery {

    @ParameterizedTest
    @ValueSource(
            strings = {
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
                "/people",
                "/welcome?step=1",
                "/welcome?step=2",
                "/welcome?step=3",
                "/nowhere"
            })
    void hasNoBarrierAndNoComplaint(String view) {
        lookOver(view);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/stock stock-plants", "/benches open-batches", "/technique ways-with-data"})
    void listsAreNarrowedByTyping(String list) {
        String table = list.substring(list.indexOf(' ') + 1);
        browser.open(list.substring(0, list.indexOf(' ')));
        int all = browser.count("#" + table + " tbody tr");
        browser.type("narrow-" + table, "FUCHSIA");
        String shown = "#" + table + " tbody tr:not([hidden])";
        assertThat(browser.count(shown)).isBetween(1, all - 1);
        assertThat(browser.texts(shown)).allMatch(row -> row.contains("Fuchsia"));
        assertThat(browser.text("[data-narrow] [role=status]")).isEqualTo(browser.count(shown) + " of " + all);
        browser.script("sessionStorage.clear()");
    }

    @Test
    void waysAreNarrowedByTheirPlacesToo() {
        browser.open("/technique");
        int all = browser.count("#ways-with-data tbody tr");
        browser.type("narrow-ways-with-data", "mist bench");
        String shown = "#ways-with-data tbody tr:not([hidden])";
        browser.until(d -> browser.count(shown) > 0);
        assertThat(browser.count(shown)).isBetween(1, all - 1);
        assertThat(browser.text("#ways-with-data")).doesNotContain("Mist bench");
        browser.script("sessionStorage.clear()");
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
    void canBeReadInTheDark(String view) {
        browser.dark(true);
        open(view);
        assertThat(browser.poorContrasts()).isEmpty();
        browser.dark(false);
    }
}
