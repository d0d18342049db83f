package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.stock.StockPlantView;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The weeks after the move: the cover is opened by steps, looks find what holds and what is lost, and the plants go. */
class YoungPlantsInTheBrowserTest extends AtThePages {

    @Autowired
    private BatchBook book;

    @Test
    void youngPlantsAreWeanedLookedAtMeasuredAndSold() {
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        BatchView tray = in(() -> batches.make(Growing.newBatch(
                guide.protocol("tip-in-plugs").orElseThrow(), fuchsia, 12, TODAY.minusDays(40), TODAY.minusDays(40))));
        in(() -> batches.look(tray.code(), Growing.count(TODAY.minusDays(10), 12, 0)));
        in(() -> moves.move(tray.code(), TODAY.minusDays(6), 12, 12));
        PottingView move = in(() -> book.pottings(tray.id()).get(0));

        browser.open("/round");
        assertThat(browser.texts(".task")).anyMatch(t -> t.contains("wedge the cover open by a finger, for 12"));

        browser.open("/batches/" + tray.code());
        browser.press("#moves tbody a");
        browser.untilText("main .lead", "12 young plants, potted Tue 9 Jun, day 6");
        assertThat(browser.barriers()).isEmpty();
        browser.type("holds", "9");
        browser.type("wobbles", "4");
        browser.press("#look ~ form button.main");
        browser.untilText("main .refused", "13 are more than the 12 that stand");
        assertThat(browser.value("holds")).as("nothing typed is lost").isEqualTo("9");
        browser.type("wobbles", "1");
        browser.type("hanging", "1");
        browser.type("lost", "1");
        browser.choose("cause", "rot");
        browser.press("#look ~ form button.main");
        browser.untilText("main .said", "Written down.");
        assertThat(browser.text("main dl")).contains("Stand 11", "Settled not yet", "Lost since 1");

        browser.open("/round");
        assertThat(browser.texts(".task"))
                .as("leaves hung today: the cover stays as it is")
                .noneMatch(t -> t.contains("the cover"));

        browser.open("/batches/" + tray.code() + "/young/" + move.id());
        browser.type("holds", "8");
        browser.type("growing", "3");
        browser.press("#look ~ form button.main");
        browser.untilText("main .said", "all that stand have settled");
        browser.script("document.querySelectorAll('main details').forEach((d) => { d.open = true; })");
        browser.type("height", "12,5");
        browser.press("form[action$='/measure'] button");
        browser.untilText("main .said", "The measure is written down.");
        assertThat(browser.text("[aria-label=Measures]")).contains("12.5 cm");
        browser.script("document.querySelectorAll('main details').forEach((d) => { d.open = true; })");
        browser.type("plants", "6");
        browser.press("form[action$='/mark'] button");
        browser.untilText("main .said", "6 saleable: written down.");

        browser.type("pieces", "4");
        browser.choose("fate-how", "sold");
        browser.type("toWhom", "Gull Rock Gardens");
        browser.press("#fate ~ form button");
        browser.untilText("main #sent", "4 potted, sold to Gull Rock Gardens");

        browser.open("/technique/settling");
        assertThat(browser.text("#media")).contains("plug compost", "11 of 12");
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.complaints()).isEmpty();
    }
}
