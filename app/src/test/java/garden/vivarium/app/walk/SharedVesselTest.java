package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Departures;
import garden.vivarium.app.batch.Fate;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.stock.StockPlantView;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Two kinds in one jar: its water is changed once for both, and their paces are compared. A piece cut again becomes two, with lineage. */
class SharedVesselTest extends AtThePages {

    @Autowired
    private BatchBook book;

    @Autowired
    private Departures departures;

    @Test
    void waterIsChangedOnceForAllInTheJar() {
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        StockPlantView box = in(() -> Growing.stockPlant(stock, "Box ‘Breakwater’"));
        BatchView soon = in(() -> Growing.stuck(batches, guide, fuchsia, 8, TODAY.minusDays(9)));
        BatchView late = in(() -> batches.make(Growing.newBatch(
                guide.protocol("hardwood-in-ground").orElseThrow(), box, 6, TODAY.minusDays(9), TODAY.minusDays(9))));

        browser.open("/batches/" + soon.code());
        browser.script("document.querySelectorAll('main details').forEach((d) => { d.open = true; })");
        browser.type("other", late.code());
        browser.press("form[action$='/together'] button");
        browser.untilText("main .said", "They share a vessel");
        assertThat(browser.text("main .warning")).contains(soon.code() + " is ready about", "hardly at one time");

        browser.open("/round");
        browser.script("document.querySelectorAll('details.stop').forEach((s) => { s.open = true; })");
        assertThat(browser.texts(".task").stream().filter(t -> t.contains("change the water")))
                .singleElement()
                .asString()
                .contains("for all in one vessel", soon.code(), late.code());
        browser.script("[...document.querySelectorAll('.task')].find((t) => t.textContent.includes('hange the water'))"
                + ".querySelector('button').click()");
        browser.untilText("main", "Done for 1 batch: " + soon.code());
        for (BatchView each : new BatchView[] {soon, late}) {
            browser.open("/batches/" + each.code());
            assertThat(browser.text("main")).contains("water changed Mon 15 Jun");
        }
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aLongPieceBecomesTwoInABatchThatNamesIt() {
        StockPlantView sage = in(() -> Growing.stockPlant(stock, "Salvia ‘Tern’"));
        BatchView jar = in(() -> Growing.stuck(batches, guide, sage, 10, TODAY.minusDays(30)));
        in(() -> batches.look(jar.code(), Growing.count(TODAY.minusDays(4), 5, 1)));

        browser.open("/batches/" + jar.code() + "/offspring");
        assertThat(browser.text("main")).contains("5 stand rooted, 4 wait.");
        browser.type("sectioned", "6");
        browser.type("sectionWhere", "Warm bench");
        browser.press("form[action$='/section'] button");
        browser.untilText("main .refused", "5 stand here");
        assertThat(browser.value("sectioned")).as("nothing typed is lost").isEqualTo("6");
        browser.type("sectioned", "3");
        browser.press("form[action$='/section'] button");
        browser.untilText("main .said", "Write the label now");

        BatchView made = in(() -> book.kinCutFrom(List.of(jar.id())).stream()
                .findFirst()
                .map(k -> batches.find(k.code()))
                .orElseThrow());
        assertThat(made.stuck()).isEqualTo(6);
        assertThat(browser.text("main p.lead")).contains("From " + jar.code());
        BatchView parent = in(() -> batches.find(jar.code()));
        assertThat(parent.readyToMove()).isEqualTo(2);
        assertThat(parent.counts().ready()).as("that they rooted stays").isEqualTo(5);
        assertThat(parent.sentAway()).isEqualTo(3);
        assertThat(in(() -> departures.of(jar.id())))
                .singleElement()
                .satisfies(s -> assertThat(s.fate()).isEqualTo(Fate.CUT_AGAIN));
        assertThat(parent.counts().pending()
                        + parent.readyToMove()
                        + parent.movedNow()
                        + parent.sentAway()
                        + parent.counts().lost()
                        + parent.counts().lostReady())
                .as("every piece is somewhere")
                .isEqualTo(parent.stuck());
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.complaints()).isEmpty();
    }
}
