package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.timing.Climate;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;

/** The round walked from end to end on a phone, by touch. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class RoundByTouchTest extends AtThePages {

    @Autowired
    private CareBook care;

    private BatchView jar;
    private BatchView tray;
    private BatchView other;

    @BeforeAll
    void aNurseryOfTwoPlaces() {
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        UUID sill = in(() -> stock.placeNamed("Sill", Climate.HEATED)).id();
        tray = in(() -> Growing.tray(batches, guide, fuchsia, 4, 6, TODAY.minusDays(40)));
        in(() -> batches.look(tray.code(), Growing.count(TODAY.minusDays(1), 24, 0)));
        jar = in(() -> batches.make(Growing.newBatchAt(guide, "tip-in-water", fuchsia, sill, 12, TODAY.minusDays(6))));
        other = in(
                () -> batches.make(Growing.newBatchAt(guide, "tip-in-water", fuchsia, sill, 10, TODAY.minusDays(6))));
        browser.size(390, 844, true);
    }

    private void said(String part) {
        browser.untilText("main .said", part);
    }

    private String at(BatchView batch) {
        return "details.stop[open] .task[data-code='" + batch.code() + "'] ";
    }

    @Test
    @Order(1)
    void allPlacesAreSeenAtOnceAndTheFirstIsOpen() {
        browser.open("/round");
        assertThat(browser.width()).isLessThanOrEqualTo(390);
        assertThat(browser.texts(".stop h2")).containsExactly("Bench", "Sill");
        assertThat(browser.count("details.stop[open]")).isOne();
        assertThat(browser.text("h1")).contains("5 things need a hand, about ");
        assertThat(browser.text("details.stop[open] .carry")).contains("24 × ", "1 label");
        assertThat(browser.script("""
                        return [...document.querySelectorAll('main button, main summary.button, main .walk a, .task a.button')]
                            .filter((b) => b.offsetParent && b.getBoundingClientRect().height < 31.5)
                            .map((b) => b.textContent).join()""")).as("too small to touch").isEqualTo("");
        assertThat(browser.barriers()).isEmpty();
    }

    @Test
    @Order(2)
    void pottingAsksHowManyAndASlipIsUndone() {
        browser.press(at(tray) + ".ask summary");
        browser.script("document.querySelector(\"" + at(tray) + "[name=pieces]\").value = '20'");
        browser.script("document.querySelector(\"" + at(tray) + "[name=youngPlants]\").value = '10'");
        browser.press(at(tray) + ".ask button.main");
        said("20 pieces potted, 10 pots");
        browser.press("form.undo button");
        said("Undone");
        assertThat(in(() -> batches.find(tray.code())).moved()).isZero();

        browser.press(at(tray) + ".ask summary");
        browser.press(at(tray) + ".ask button.main");
        said("24 pieces potted");
        assertThat(in(() -> batches.find(tray.code())).youngPlants()).isEqualTo(24);
    }

    @Test
    @Order(3)
    void likeThingsGoTogetherAndOneIsPutOff() {
        assertThat(browser.text("details.stop[open] h2")).isEqualTo("Sill");
        browser.press("details.stop[open] .like:first-of-type .like-head button");
        said("Done for 2 batches");
        assertThat(in(() -> care.lastOf(jar.id()))).hasSize(1);

        browser.press(at(jar) + ".later summary");
        browser.script("document.querySelector(\"" + at(jar) + ".later [name=word]\").value = 'after the frost'");
        browser.press(at(jar) + ".later button");
        said("Put off to Wed 17 Jun");
        assertThat(browser.count(at(jar))).isZero();
    }

    @Test
    @Order(4)
    void careOfAWholePlaceTakesTwoTouches() {
        browser.press("details.stop[open] > details > summary");
        browser.press("details.stop[open] > details button[value=AIRED]");
        said("2 of them: aired");
        assertThat(in(() -> care.lastOf(other.id()))).hasSize(2);
        browser.press("form.undo button");
        said("Undone");
        assertThat(in(() -> care.lastOf(other.id()))).hasSize(1);
    }

    @Test
    @Order(5)
    void theRestIsDoneAndAReminderIsLeft() {
        browser.press(at(other) + "form button");
        said("looked, nothing changed");
        assertThat(browser.text("h1")).contains("nothing needs a hand");
        browser.type("remind-what", "Order 9 cm pots");
        browser.type("remind-on", TODAY.toString());
        browser.press("section[aria-labelledby=remind] button");
        said("The round will say so");
        assertThat(browser.text(".task .verb")).isEqualTo("Remember");
        browser.press(".task .do form button");
        said("Done: Order 9 cm pots");
        assertThat(browser.complaints()).isEmpty();
    }
}
