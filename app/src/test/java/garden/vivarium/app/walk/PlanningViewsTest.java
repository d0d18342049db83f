package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Views of the round, of planning and of the benches: no barrier, no complaint, and something worth reading. */
@Order(1)
class PlanningViewsTest extends AtTheSampleNursery {

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
                "BENCH"
            })
    void hasNoBarrierAndNoComplaint(String view) {
        lookOver(view);
    }

    @Test
    void aBarrierThatIsThereIsSeen() {
        browser.open("/plan/space");
        browser.script("const bare = document.createElement('input'); document.querySelector('main').append(bare);"
                + " document.querySelector('h1').style.color = '#f0f0f0';");
        assertThat(browser.barriers())
                .anySatisfy(b -> assertThat(b).startsWith("label: "))
                .anySatisfy(b -> assertThat(b).startsWith("color-contrast: "));
        assertThat(browser.barriersOfAPhone()).anySatisfy(b -> assertThat(b).startsWith("label: "));
    }

    @Test
    void theRoundHasWorkOfEachKind() {
        browser.open("/round");
        assertThat(browser.count("details.stop[open]"))
                .as("the first place alone")
                .isOne();
        browser.script("document.querySelectorAll('details.stop').forEach((s) => { s.open = true; })");
        assertThat(browser.texts(".like h3")).contains("To stick", "To pot up");
        assertThat(browser.text("main"))
                .containsPattern(
                        "(slower|fewer) than usual: \\d+ of \\d+ (are ready|show a [a-z ]+) where about \\d+ were to be expected")
                .contains("Too long");
    }

    @Test
    void techniqueShowsThreeYearsOfBatchesAndTheirWays() {
        browser.open("/technique");
        assertThat(browser.count("tr[data-row]"))
                .as("what a screen or two holds")
                .isEqualTo(30);
        browser.open("/technique?all=true");
        assertThat(browser.count("tr[data-row]")).isGreaterThanOrEqualTo(40);
        int batches = browser.texts("tr[data-row] td:nth-child(3)").stream()
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
}
