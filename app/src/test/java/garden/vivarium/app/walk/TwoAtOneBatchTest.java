package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.Nurseries;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Two people read one tray at once: whoever saves second is shown both sides, and neither loses anything. */
class TwoAtOneBatchTest extends AtThePages {

    @Test
    void bothLooksAreKeptOnceTheSecondHasSeenBothSides() {
        BatchView tray = in(() ->
                Growing.tray(batches, guide, Growing.stockPlant(stock, "Salvia ‘Tern’"), 3, 4, TODAY.minusDays(20)));
        String check = "/batches/" + tray.code() + "/check";
        try (Browser other = otherBrowser()) {
            browser.open(check);
            other.open(check);
            browser.until(d -> browser.count(".cell") == 12);
            other.until(d -> other.count(".cell") == 12);
            browser.keys("2", Keys.ARROW_RIGHT, "2");
            other.keys(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, "x", "r", Keys.ARROW_RIGHT, "2");

            browser.keys(Keys.ENTER, Keys.ENTER);
            browser.until(d -> !browser.path().endsWith("/check"));
            other.keys(Keys.ENTER, Keys.ENTER);
            other.untilText("[data-clash]", "Somebody else logged this batch meanwhile");
            assertThat(other.texts("[data-clash] li"))
                    .containsExactly(
                            "Piece 3: held as nothing yet, yours lost, rot",
                            "Piece 4: held as nothing yet, yours ready");
            other.press("[data-both]");
            other.until(d -> !other.path().endsWith("/check"));
        }
        BatchView now = in(() -> batches.find(tray.code()));
        assertThat(now.counts().ready()).as("of both looks").isEqualTo(3);
        assertThat(now.counts().lost()).isOne();
        assertThat(now.counts().ready() + now.counts().lost() + now.counts().pending())
                .isEqualTo(12);
    }

    private Browser otherBrowser() {
        Browser other = new Browser(port());
        other.signIn(signInName(), Nurseries.PASSWORD);
        return other;
    }
}
