package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Guide;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.function.Supplier;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.CleanupMode;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;

/** The server is killed while a tray is read: what is typed survives reload and a closed browser, and is stored once, though sent twice. */
@Order(2)
@OnDatabase
class PowerCutTest {

    private static final LocalDate TODAY = LocalDate.parse(OnDatabase.TODAY);

    @TempDir(cleanup = CleanupMode.NEVER)
    private Path folder;

    @Autowired
    private People people;

    @Autowired
    private CurrentNursery current;

    @Autowired
    private Stock stock;

    @Autowired
    private Batches batches;

    @Autowired
    private BatchBook book;

    @Autowired
    private Guide guide;

    @Test
    void whatWasReadWhileTheServerWasDeadIsStoredOnce() throws Exception {
        Nurseries.Made nursery = Nurseries.make(people);
        BatchView tray = in(
                nursery,
                () -> Growing.tray(
                        batches, guide, Growing.stockPlant(stock, "Salvia ‘Tern’"), 3, 4, TODAY.minusDays(20)));
        String check = "/batches/" + tray.code() + "/check";
        Path profile = folder.resolve("profile");
        try (KilledServer server = new KilledServer(folder)) {
            server.start();
            try (Browser phone = new Browser(server.port(), profile)) {
                phone.signIn(nursery.signIn(), Nurseries.PASSWORD);
                phone.open(check);
                assertThat(phone.withStore("(await navigator.serviceWorker.ready).active !== null"))
                        .isEqualTo(true);
                // Twice more, under the worker, so that it has kept all that the page is made of.
                phone.open(check);
                phone.until(d -> phone.count(".cell") == 12);
                phone.open(check);
                phone.until(d -> phone.count(".cell") == 12);
                assertThat(phone.script("return navigator.serviceWorker.controller !== null"))
                        .isEqualTo(true);

                server.kill();
                phone.keys("2", Keys.ARROW_RIGHT, "2", Keys.ARROW_RIGHT, "x", "r");
                // A keystroke is kept within moments, on a busy machine some more of them.
                phone.until(d -> Boolean.TRUE.equals(
                        phone.withStore("Object.keys((await store.draftsOf(document.body.dataset.owner, '" + tray.code()
                                + "'))[0]?.values.entries ?? {}).length === 3")));
                phone.open(check);
                phone.until(d -> phone.count(".cell") == 12);
                assertThat(phone.text("[data-count]")).as("after a reload").isEqualTo("3 of 12 looked at");
            }
            try (Browser phone = new Browser(server.port(), profile)) {
                phone.open(check);
                phone.until(d -> phone.count(".cell") == 12);
                assertThat(phone.text("[data-count]"))
                        .as("after the browser was closed")
                        .isEqualTo("3 of 12 looked at");
                phone.keys(Keys.ENTER, Keys.ENTER);
                phone.untilText("[data-line]", "it is kept here and sent when there is one");

                server.start();
                String kept = (String)
                        phone.withStore("JSON.stringify((await store.checksOf(document.body.dataset.owner))[0])");
                assertThat(kept).contains("READY").contains("ROT");
                // Whoever closes the browser signs in again; the page that follows sends what waits.
                phone.signIn(nursery.signIn(), Nurseries.PASSWORD);
                phone.until(d -> phone.waitingChecks() == 0);
                // Sent a second time on purpose, as by a browser that never heard the answer.
                phone.withStore("await store.putCheck(" + kept + ")");
                assertThat(phone.waitingChecks()).isOne();
                phone.open("/batches/" + tray.code());
                phone.until(d -> phone.waitingChecks() == 0);
            }
        }
        assertThat(in(nursery, () -> book.looks(tray.code())).checks()).hasSize(1);
        BatchView now = in(nursery, () -> batches.find(tray.code()));
        assertThat(now.counts().ready()).isEqualTo(2);
        assertThat(now.counts().lost()).isOne();
    }

    private <T> T in(Nurseries.Made nursery, Supplier<T> work) {
        return current.workingFor(nursery.id(), work);
    }
}
