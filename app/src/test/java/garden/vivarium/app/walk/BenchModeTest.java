package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.PieceView;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.springframework.beans.factory.annotation.Autowired;

/** Bench mode with the keyboard alone, by touch on a phone, and without a connection. */
@Order(2)
class BenchModeTest extends AtThePages {

    @Autowired
    private BatchBook book;

    private BatchView tray;

    @BeforeEach
    void aTrayOf72() {
        tray = in(() -> {
            var parent = stock.named("Sage ‘Lighter Grey’")
                    .orElseGet(() -> Growing.stockPlant(stock, "Sage ‘Lighter Grey’"));
            return Growing.tray(batches, guide, parent, 6, 12, TODAY.minusDays(25));
        });
        browser.size(1280, 800, false);
        browser.open("/batches/" + tray.code() + "/check");
        browser.until(d -> browser.count(".cell") == 72);
    }

    @Test
    void aWholeTrayIsLoggedByKeyboardAlone() {
        // Row one ready by painting, one lost to rot, one measured, one with top growth, the rest unchanged.
        browser.shiftArrow(Keys.ARROW_RIGHT, 11);
        browser.keys("2");
        browser.keys(Keys.ARROW_DOWN);
        browser.keys("x", "r");
        browser.keys(Keys.ARROW_LEFT);
        browser.keys(".", "2", "5", Keys.ARROW_LEFT);
        browser.keys(".", "8", Keys.ARROW_LEFT);
        browser.keys("1", "t");
        browser.keys("=");
        assertThat(browser.text("[data-count]")).isEqualTo("72 of 72 looked at");
        browser.keys(Keys.ENTER);
        browser.untilPath("/batches/" + tray.code());
        browser.until(d -> !browser.path().endsWith("/check"));

        assertThat(browser.texts(".answers dd")).containsExactly("72", "15", "13", "1", "58");
        assertThat(held().lost()).isEqualTo(1);
        assertThat(browser.count(".pieces use[href='#piece-ready']")).isEqualTo(13);
        assertThat(browser.count(".pieces use[href='#piece-leaf']")).isOne();
    }

    private int pressed;

    private void keys(CharSequence... keys) {
        for (CharSequence key : keys) {
            browser.keys(key);
            pressed++;
        }
    }

    @Test
    void fourRowsAreReadyButForTwoLostInFortyKeys() {
        pressed = 0;
        for (int row = 1; row <= 4; row++) {
            keys("w", "2");
            if (row < 4) {
                keys(Keys.ARROW_DOWN);
            }
        }
        // From the first cell of row four: piece 40 is three on, piece 28 above it.
        keys(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, Keys.ARROW_RIGHT, "x", "r");
        keys(Keys.ARROW_UP, "x", "d");
        keys("=", Keys.ENTER);
        browser.until(d -> !browser.path().endsWith("/check"));

        assertThat(pressed).isLessThanOrEqualTo(40);
        Map<Integer, PieceState> read = in(() -> book.looks(tray.code())).history().orElseThrow().pieces().stream()
                .collect(Collectors.toMap(PieceView::piece, PieceView::state));
        assertThat(read).hasSize(72);
        read.forEach((piece, state) -> assertThat(state)
                .as("piece %d", piece)
                .isEqualTo(
                        piece == 40 || piece == 28
                                ? PieceState.LOST
                                : piece <= 48 ? PieceState.READY : PieceState.NONE));
    }

    @Test
    void aDraftThatIsFoundIsSaidAndCanBeDropped() {
        browser.keys("2", Keys.ARROW_RIGHT, "2");
        browser.untilText("[data-count]", "2 of 72");
        browser.open("/batches/" + tray.code() + "/check");
        browser.untilText("[data-line]", "2 readings from before that were not saved");
        browser.press("[data-dropped]");
        browser.untilText("[data-count]", "0 of 72 looked at");
        browser.open("/batches/" + tray.code() + "/check");
        browser.untilText("[data-count]", "0 of 72 looked at");
        assertThat(browser.text("[data-line]")).isEmpty();
    }

    @Test
    void aWideTrayStandsOnAPhone() {
        browser.size(390, 844, true);
        browser.until(d -> browser.count(".tray.turned") == 1);
        assertThat(browser.script("""
                        const at = (n) => document.querySelector(`[data-piece='${n}']`).getBoundingClientRect();
                        return at(2).top > at(1).top && Math.abs(at(2).left - at(1).left) < 1 && at(13).left > at(1).left
                            && at(72).right <= 390 && document.querySelector('.tray-frame').scrollWidth <= 390""")).as("six wide, twelve tall").isEqualTo(true);
    }

    @Test
    void undoTakesBackOneStepAndARefusalLosesNothing() {
        browser.keys("2", Keys.ARROW_RIGHT, "2", "u");
        assertThat(browser.text("[data-count]")).isEqualTo("1 of 72 looked at");
        browser.keys(Keys.ARROW_LEFT, "0");
        assertThat(browser.text("[data-now]")).isEqualTo("Piece 1: nothing yet");

        browser.script("document.activeElement.blur()");
        browser.type("look-kind", "from above");
        browser.keys("2");
        assertThat(browser.text("[data-line]")).contains("press k to tug or lift");
        assertThat(browser.text("[data-count]")).isEqualTo("1 of 72 looked at");
        browser.keys("x", "d");
        assertThat(browser.text("[data-now]")).isEqualTo("Piece 1: lost, dried");
    }

    @Test
    void spaceRepeatsAndMovesOn() {
        browser.keys("1", " ", " ", " ");
        assertThat(browser.text("[data-count]")).isEqualTo("3 of 72 looked at");
        assertThat(browser.text("[data-now]")).startsWith("Piece 4");
    }

    @Test
    void aClosedPageLosesNothing() {
        browser.keys("2", Keys.ARROW_RIGHT, "x", "p");
        browser.open("/round");
        browser.open("/batches/" + tray.code() + "/check");
        browser.untilText("[data-count]", "2 of 72 looked at");
        assertThat(browser.text("[data-line]")).contains("that were not saved");
        assertThat(held().ready()).isZero();
    }

    @Test
    void withoutAConnectionACheckIsKeptAndSentOnceLater() {
        browser.keys("2");
        // A browser whose sending fails is a browser without a connection.
        browser.script(
                "window.realFetch = window.fetch; window.fetch = () => Promise.reject(new TypeError('offline'))");
        browser.keys(Keys.ENTER, Keys.ENTER);
        browser.untilText("[data-line]", "it is kept here");
        assertThat(held().ready()).isZero();

        browser.script("window.fetch = window.realFetch; window.dispatchEvent(new Event('online'))");
        browser.until(d -> !browser.path().endsWith("/check"));
        assertThat(held().ready()).isOne();
        assertThat(browser.waitingChecks()).isZero();
    }

    @Test
    void whatIsTypedWhileACheckWaitsIsNotLost() {
        browser.keys("2");
        browser.script(
                "window.realFetch = window.fetch; window.fetch = () => Promise.reject(new TypeError('offline'))");
        browser.keys(Keys.ENTER, Keys.ENTER);
        browser.untilText("[data-line]", "it is kept here");
        browser.keys(Keys.ARROW_RIGHT, "1");
        browser.script("window.fetch = window.realFetch; window.dispatchEvent(new Event('online'))");
        browser.untilText("[data-line]", "that were not saved");
        assertThat(held().ready()).isOne();
        assertThat(held().firstSign()).isOne();

        browser.keys(Keys.ENTER, Keys.ENTER);
        browser.until(d -> !browser.path().endsWith("/check"));
        assertThat(held().firstSign()).isEqualTo(2);
    }

    @Test
    void twoTabsDoNotOverwriteEachOther() {
        browser.keys("2", Keys.ARROW_RIGHT, "2");
        browser.untilText("[data-count]", "2 of 72 looked at");
        String first = browser.newTab("/batches/" + tray.code() + "/check");
        browser.until(d -> browser.count(".cell") == 72);
        assertThat(browser.text("[data-count]")).as("another tab works on that").isEqualTo("0 of 72 looked at");
        browser.keys("x", "r");
        browser.untilText("[data-count]", "1 of 72 looked at");
        browser.closeTab(first);
        assertThat(browser.text("[data-count]")).isEqualTo("2 of 72 looked at");
        browser.keys(Keys.ENTER, Keys.ENTER);
        browser.until(d -> !browser.path().endsWith("/check"));
        assertThat(held().ready()).isEqualTo(2);
        assertThat(held().lost()).isZero();
        browser.open("/batches/" + tray.code() + "/check");
        browser.untilText("[data-count]", "1 of 72 looked at");
    }

    @Test
    void aRootIsMeasuredOnTheCellWhereItWasTyped() {
        browser.keys(".", "3", "0");
        browser.press("[data-piece='40']");
        assertThat(browser.text("[data-count]")).isEqualTo("1 of 72 looked at");
        browser.press("[data-piece='1']");
        assertThat(browser.text("[data-now]")).isEqualTo("Piece 1: ready, root 30 mm");
        browser.keys("b", "f");
        assertThat(browser.text("[data-now]")).isEqualTo("Piece 1: ready, root 30 mm, side roots, firm");
        browser.keys("u", "u");
        assertThat(browser.text("[data-now]")).isEqualTo("Piece 1: ready, root 30 mm");
    }

    @Test
    void sentinelsAreAFewThatStillRun() {
        browser.keys("r");
        assertThat(browser.count(".cell.sentinel")).isBetween(2, 5);
        assertThat(browser.text("[data-line]")).contains("They stand for the tray");
    }

    @Test
    void aCheckThatNobodyHereCanTakeIsPutAsideWithTheServersWordsAndDropped() {
        browser.withStore("await store.putCheck({owner: document.body.dataset.owner, code: '26w01-ZZ', check: {"
                + "clientId: crypto.randomUUID(), lookedOn: '2026-06-14', look: 'LIFTED', knownChanges: null, note: null,"
                + " pieces: [{piece: 1, state: 'READY'}]}})");
        assertThat(browser.waitingChecks()).isOne();
        browser.open("/stock");
        browser.untilText("[data-waits]", "1 was refused: mend or drop");
        browser.open("/waiting");
        browser.untilText("[data-refused]", "There is no batch 26w01-ZZ here.");
        assertThat(browser.count("[data-mend]")).isOne();
        browser.press("[data-drop]");
        browser.until(d -> browser.waitingChecks() == 0);
    }

    @Test
    void aCheckThatTheServerRefusesIsMendedWhereItWaits() {
        browser.withStore("await store.putCheck({owner: document.body.dataset.owner, code: '" + tray.code()
                + "', check: {clientId: crypto.randomUUID(), lookedOn: '2030-06-14', look: 'LIFTED', knownChanges: null, note: null,"
                + " pieces: [{piece: 1, state: 'READY'}]}})");
        browser.open("/stock");
        browser.untilText("[data-waits]", "1 was refused: mend or drop");
        assertThat(held().ready()).isZero();
        browser.open("/waiting");
        browser.untilText("[data-refused]", "The server would not have it");
        browser.press("[data-mend]");
        browser.until(d -> browser.path().endsWith("/check"));
        browser.untilText("[data-count]", "1 of 72 looked at");
        browser.script("const day = document.querySelector('[data-day]'); day.value = '2026-06-14';"
                + " day.dispatchEvent(new Event('change'))");
        browser.keys(Keys.ENTER, Keys.ENTER);
        browser.until(d -> !browser.path().endsWith("/check"));
        assertThat(held().ready()).isOne();
        browser.until(d -> browser.waitingChecks() == 0);
    }

    @Test
    void anEmptyAnswerIsTakenForNoAnswer() {
        browser.keys("2");
        browser.script("window.realFetch = window.fetch; window.fetch = (to, how) => String(to).endsWith('/checks')"
                + " ? Promise.resolve(new Response('', {status: 200})) : window.realFetch(to, how)");
        browser.keys(Keys.ENTER, Keys.ENTER);
        browser.untilText("[data-line]", "it is kept here");
        assertThat(browser.waitingChecks()).isOne();
        browser.script("window.fetch = window.realFetch; window.dispatchEvent(new Event('online'))");
        browser.until(d -> !browser.path().endsWith("/check"));
        assertThat(held().ready()).isOne();
    }

    @Test
    void whenAnotherLoggedMeanwhileBothSidesAreShown() {
        browser.keys("2");
        in(() -> batches.look(tray.code(), Growing.count(TODAY.minusDays(1), 0, 3)));
        browser.keys(Keys.ENTER, Keys.ENTER);
        browser.untilText("[data-clash]", "Somebody else logged this batch meanwhile");
        browser.press("[data-both]");
        browser.until(d -> !browser.path().endsWith("/check"));
        // The count is anonymous: its losses are given to pieces that nobody saw ready.
        assertThat(held().ready()).isOne();
        assertThat(held().lost()).isEqualTo(3);
    }

    @Test
    void onAPhoneOneHandDoesIt() {
        browser.size(390, 844, true);
        browser.open("/batches/" + tray.code() + "/check");
        browser.until(d -> browser.count(".cell") == 72);
        assertThat(browser.width()).isEqualTo(390);
        Object small = browser.script("return [...document.querySelectorAll('.pad button')]"
                + ".filter(b => b.offsetParent && (b.offsetHeight < 44 || b.offsetWidth < 44)).length");
        assertThat(small).isEqualTo(0L);
        browser.press("[data-piece='5']");
        browser.press("[data-press='2']");
        assertThat(browser.script(
                        "return Math.min(...[...document.querySelectorAll('.cell')].map(c => c.offsetWidth)) >= 44"))
                .isEqualTo(true);
        browser.press("[data-piece='6']");
        browser.press("[data-press='x']");
        browser.press("[data-causes] button");
        browser.press("[data-press='Enter']");
        browser.untilText("[data-line]", "70 cells have no reading and will stay unread");
        browser.press("[data-press='Enter']");
        browser.until(d -> !browser.path().endsWith("/check"));
        assertThat(held().ready()).isOne();
        assertThat(held().lost()).isOne();
        assertThat(browser.width()).isEqualTo(390);
    }

    private Counts held() {
        return in(() -> batches.find(tray.code()).counts());
    }
}
