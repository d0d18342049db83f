package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** A practice tray, played from the day stuck to its score. */
class PracticeInTheBrowserTest extends AtThePages {

    @Test
    void aTrayIsPlayedToTheEnd() {
        browser.open("/technique");
        browser.follow("Practice");
        browser.untilText("#stands", "The day stuck. None moved yet.");
        assertThat(browser.barriers()).isEmpty();
        for (int week = 0; week < 4; week++) {
            browser.follow("7 days on");
        }
        browser.untilText("#stands", "Day 28.");
        assertThat(browser.count(".practice-tray .p-root"))
                .as("nothing is seen unlooked")
                .isZero();
        browser.follow("Look");
        browser.untilText("#stands", "last looked at on day 28");
        assertThat(browser.count(".practice-tray use[href='#piece-ready']")).isPositive();
        browser.press("a.main");
        browser.until(d -> browser.count(".practice-tray use[href='#piece-potted']") > 0);
        for (int week = 0; week < 2; week++) {
            browser.follow("7 days on");
        }
        browser.follow("Look");
        browser.untilText("#stands", "last looked at on day 42");
        if (browser.count("a.button.main") > 0) {
            browser.press("a.button.main");
        }
        browser.follow("Close the tray");
        browser.untilText("#stands", "young plants after 42 days and 2 looks");
        assertThat(browser.text("#stands")).containsPattern("[0-9]+% of the best");
        assertThat(browser.count("#reasons li")).isPositive();
        assertThat(browser.text("main")).contains("In hindsight");
        assertThat(browser.barriers()).isEmpty();
        browser.follow("Another tray");
        browser.untilText("#stands", "The day stuck.");
        // An address that goes back in time is no tray.
        browser.open("/technique/practice?acts=30L14L");
        assertThat(browser.text("main")).doesNotContain("Day 30");
        browser.complaints();
    }
}
