package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.looks.Counts;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Two people of two nurseries on one tablet, one of whom has a look that waits. */
@OnDatabase
@ExtendWith(IdleBrowsers.class)
class SharedTabletTest {

    private static final LocalDate TODAY = LocalDate.parse(OnDatabase.TODAY);

    @LocalServerPort
    private int port;

    @Autowired
    private People people;

    @Autowired
    private CurrentNursery current;

    @Autowired
    private Stock stock;

    @Autowired
    private Batches batches;

    @Autowired
    private Guide guide;

    @Test
    void aLookThatWaitsIsSentByWhoeverLoggedItAndByNobodyElse() {
        Nurseries.Made mine = Nurseries.make(people);
        Nurseries.Made theirs = Nurseries.make(people);
        BatchView tray = tray(mine);
        BatchView other = tray(theirs);
        assertThat(tray.code()).as("both label alike").isEqualTo(other.code());

        try (Browser tablet = new Browser(port)) {
            tablet.signIn(mine.signIn(), Nurseries.PASSWORD);
            tablet.open("/batches/" + tray.code() + "/check");
            // At once after the first page, which may still be making its store.
            tablet.until(d -> tablet.count(".cell") == 12);
            assertThat(tablet.withStore("await store.isKept()")).isEqualTo(true);
            tablet.sendingBlocked(true);
            tablet.keys("2");
            tablet.keys(Keys.ENTER, Keys.ENTER);
            tablet.untilText("[data-line]", "it is kept here");
            tablet.open("/waiting");
            tablet.untilText("[data-waiting] ul", tray.code() + ": 1 piece");
            tablet.untilText("[data-waits]", "1 look waits to be sent");
            tablet.press(".head form button");
            tablet.untilPath("/sign-in");
            tablet.sendingBlocked(false);

            tablet.signIn(theirs.signIn(), Nurseries.PASSWORD);
            tablet.open("/batches/" + other.code() + "/check");
            tablet.until(d -> tablet.count(".cell") == 12);
            assertThat(tablet.text("[data-count]")).as("nothing of the other's").isEqualTo("0 of 12 looked at");
            tablet.open("/waiting");
            tablet.untilText("[data-others]", "1 check of somebody else");
            assertThat(tablet.text("[data-none]")).isEqualTo("Nothing of yours waits here.");
            assertThat(held(theirs, other).ready()).isZero();
            assertThat(held(mine, tray).ready()).isZero();
            tablet.press(".head form button");

            tablet.signIn(mine.signIn(), Nurseries.PASSWORD);
            tablet.until(d -> tablet.waitingChecks() == 0);
            assertThat(held(mine, tray).ready()).isOne();
            assertThat(held(theirs, other).ready()).isZero();
        }
    }

    private BatchView tray(Nurseries.Made nursery) {
        return current.workingFor(
                nursery.id(),
                () -> Growing.tray(
                        batches,
                        guide,
                        Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"),
                        3,
                        4,
                        TODAY.minusDays(20)));
    }

    private Counts held(Nurseries.Made nursery, BatchView batch) {
        return current.workingFor(nursery.id(), () -> batches.find(batch.code()))
                .counts();
    }
}
