package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.stock.StockPlantView;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** What really happened, told late: what stands already, what was written down wrong, what never was. */
@Order(2)
class TruthToldLateTest extends AtThePages {

    private static final int MOST_KEYS = 25;

    private StockPlantView fuchsia;

    @BeforeEach
    void aFuchsia() {
        fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry " + System.nanoTime() + "’"));
    }

    private int pressed;

    private void keys(String words) {
        browser.keys(words);
        pressed += words.length();
    }

    private void key(Keys key) {
        browser.keys(key);
        pressed++;
    }

    @Test
    void twelveJarsThatStandAlreadyAreWrittenDownByKeyboardAlone() {
        String code = fuchsia.code();
        browser.open("/stands");
        for (int jar = 0; jar < 12; jar++) {
            pressed = 0;
            browser.until(d -> Boolean.TRUE.equals(browser.script("return document.activeElement.id === 'plant'")));
            keys(code);
            key(Keys.TAB);
            keys("12");
            key(Keys.TAB);
            keys(String.valueOf(jar % 8));
            key(Keys.TAB);
            if (jar == 0) {
                keys("1");
                key(Keys.TAB);
                keys("3w");
                key(Keys.TAB);
                keys("Sill");
            }
            key(Keys.ENTER);
            int written = jar + 1;
            browser.until(d -> browser.count("section[aria-labelledby=written] tbody tr") == written);
            assertThat(pressed).as("key presses of jar %d", written).isLessThanOrEqualTo(MOST_KEYS);
        }
        assertThat(browser.texts("section[aria-labelledby=written] tbody td:nth-child(4)"))
                .allMatch(t -> t.contains("3 days more or less"));
        assertThat(browser.texts("section[aria-labelledby=written] tbody td:nth-child(6)")
                        .get(0))
                .isEqualTo("3");
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void whatIsWrongIsSaidBesideItsFieldAndNothingTypedIsLost() {
        browser.open("/stands");
        browser.type("plant", fuchsia.code());
        browser.type("pieces", "12");
        browser.type("when", "some day or other");
        browser.type("place", "Sill");
        browser.press("main button.main");

        browser.untilText("#when-error", "says no day that has come");
        assertThat(browser.value("pieces")).isEqualTo("12");
        assertThat(browser.value("when")).isEqualTo("some day or other");
    }

    @Test
    void aBatchIsCorrectedWithItsHistoryAndWithdrawnAndTakenBack() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, fuchsia, 12, TODAY.minusDays(20)));
        browser.open("/batches/" + batch.code());
        browser.follow("Correct");
        browser.type("stuckOn", TODAY.minusDays(18).toString());
        browser.type("stuck", "11");
        browser.type("medium", "perlite");
        browser.type("why", "the label was read wrong");
        browser.press("main form.fields button.main");

        browser.untilText("main .said", "Corrected");
        List<String> rows = browser.texts("section[aria-labelledby=corrected] tbody tr");
        assertThat(rows).anyMatch(r -> r.contains("pieces stuck") && r.contains("12") && r.contains("11"));
        assertThat(rows).anyMatch(r -> r.contains("medium") && r.contains("water") && r.contains("perlite"));
        assertThat(rows).allMatch(r -> r.contains("the label was read wrong"));
        BatchView now = in(() -> batches.find(batch.code()));
        assertThat(now.stuck()).isEqualTo(11);
        assertThat(now.stuckOn()).isEqualTo(TODAY.minusDays(18));

        browser.follow("Correct");
        browser.type("why-withdraw", "it was only tried out");
        browser.press("section[aria-labelledby=withdraw] button");
        browser.untilPath("/batches/withdrawn");
        browser.untilText("main tbody", batch.code());
        browser.press("main tbody form[action$='" + batch.code() + "/restore'] button");
        browser.untilPath("/batches/" + batch.code());
        browser.untilText("main .said", "is back");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void twentyEightOfThirtyRootedThenThreeRotAndTheSheetAddsUp() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, fuchsia, 30, TODAY.minusDays(40)));
        in(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(10), 28, 1)));
        browser.open("/batches/" + batch.code() + "/check");
        assertThat(browser.value("ready")).isEqualTo("28");
        browser.type("ready", "25");
        browser.type("lost", "4");
        browser.type("lostReady", "3");
        browser.choose("cause", "rot");
        browser.press("#by-count button.main");

        browser.untilPath("/batches/" + batch.code());
        browser.untilText("main .said", "Look written down");
        assertThat(browser.texts("dl.answers dd"))
                .as("stuck, first sign, ready now, lost, waiting")
                .containsExactly("30", "28", "25", "of 28 that became so", "4", "of them 3 after they were ready", "1");
        assertThat(browser.text("section[aria-labelledby=history] tbody tr"))
                .contains("28 ready, 1 lost, 3 lost after they were ready (rot)");
        assertThat(in(() -> batches.find(batch.code())).counts().ready()).isEqualTo(28);
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aLookAndAMoveAreCorrectedOnTheSheet() {
        BatchView batch = in(() -> Growing.stuck(batches, guide, fuchsia, 20, TODAY.minusDays(40)));
        in(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(10), 12, 1)));
        in(() -> moves.move(batch.code(), TODAY.minusDays(8), 6, 6));
        browser.open("/batches/" + batch.code());
        browser.press("section[aria-labelledby=history] a[href$='/correct']");
        assertThat(browser.value("ready")).isEqualTo("12");
        browser.type("ready", "10");
        browser.type("lost", "25");
        browser.press("main form.fields button.main");
        browser.untilText("main .error", "more than the 20 stuck");
        assertThat(browser.value("lost")).as("nothing typed is lost").isEqualTo("25");
        browser.type("lost", "3");
        browser.press("main form.fields button.main");
        browser.untilPath("/batches/" + batch.code());
        browser.untilText("main .said", "The look is corrected");

        browser.press("section[aria-labelledby=history] td details:last-child summary");
        browser.type("pieces-0", "5");
        browser.type("plants-0", "5");
        browser.press("section[aria-labelledby=history] form[action*='/moves/'] button");
        browser.untilText("main .said", "The move is corrected");
        BatchView now = in(() -> batches.find(batch.code()));
        assertThat(now.counts().ready()).isEqualTo(10);
        assertThat(now.counts().lost()).isEqualTo(3);
        assertThat(now.moved()).isEqualTo(5);
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aMediumOfOnesOwnIsNamedOnceAndCallusOnTheSameDayIsAskedAbout() {
        browser.open("/stands");
        browser.type("plant", fuchsia.code());
        browser.type("pieces", "12");
        browser.type("when", "3w");
        browser.type("place", "Sill");
        browser.type("medium", "kelp char");
        browser.press("main button.main");
        browser.untilText("#medium-error", "say below that it is a medium of your own");
        browser.press("#ownMedium");
        browser.press("main button.main");
        browser.untilText("section[aria-labelledby=written]", "kelp char");

        browser.press("section[aria-labelledby=written] tbody a[href$='/correct']");
        browser.type("treatment", "callus");
        browser.press("main form:not([action$='withdraw']) button.main");
        browser.untilText("[id='done.sameDay-error']", "stuck on the day they were cut");
        browser.press("#sameDay");
        browser.type("medium", "half bark, half gravel");
        browser.press("main form:not([action$='withdraw']) button.main");
        browser.untilText("main", "1 bark + 1 coarse grit, callus");
        assertThat(browser.complaints()).isEmpty();
    }
}
