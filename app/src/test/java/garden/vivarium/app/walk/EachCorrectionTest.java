package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.timing.LookKind;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Each thing that can be done with a batch, done wrong and put right at its sheet. */
@Order(2)
class EachCorrectionTest extends AtThePages {

    @Autowired
    private CareBook care;

    private StockPlantView fuchsia;
    private String code;

    @BeforeEach
    void aTray() {
        fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry " + System.nanoTime() + "’"));
        code = in(() -> Growing.tray(batches, guide, fuchsia, 4, 6, TODAY.minusDays(20)))
                .code();
    }

    private BatchView now() {
        return in(() -> batches.find(code));
    }

    private void openFolds() {
        browser.script("document.querySelectorAll('main details').forEach((d) => { d.open = true; })");
    }

    private void sheet() {
        browser.open("/batches/" + code);
        openFolds();
    }

    private void said(String part) {
        browser.untilText("main .said", part);
        openFolds();
    }

    private void nothingAmiss() {
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void onePieceOfALookWasReadWrong() {
        in(() -> batches.look(
                code,
                LookCommand.ofPieces(
                        UUID.randomUUID(),
                        TODAY.minusDays(2),
                        LookKind.LIFTED,
                        IntStream.rangeClosed(1, 6)
                                .mapToObj(p -> new LookCommand.Seen(
                                        p, LookKind.LIFTED, PieceState.READY, null, null, null, null, null, null))
                                .toList(),
                        null,
                        null)));
        sheet();
        browser.press("section[aria-labelledby=history] a[href$='/correct']");
        browser.type("piece-3", "nothing yet");
        browser.type("why", "row B, not row A");
        browser.press("main form.fields button.main");
        browser.untilPath("/batches/" + code);
        said("The look is corrected");
        assertThat(now().counts().ready()).isEqualTo(5);
        assertThat(browser.text("section[aria-labelledby=corrected]")).contains("row B, not row A");
        nothingAmiss();
    }

    @Test
    void careWasDoneOnAnotherDayOrNever() {
        in(() -> care.did(
                new Subject(Subject.Kind.BATCH, now().id(), code, now().placeId()),
                "watered",
                null,
                null,
                TODAY.minusDays(1),
                0));
        sheet();
        browser.type(
                "care-on-" + in(() -> care.of(now().id())).get(0).id(),
                TODAY.minusDays(3).toString());
        browser.press("section[aria-labelledby=care] table form button:not([name])");
        browser.untilText("section[aria-labelledby=care] tbody", "12 Jun");
        assertThat(in(() -> care.of(now().id())).get(0).days().done()).isEqualTo(TODAY.minusDays(3));
        openFolds();
        browser.press("section[aria-labelledby=care] table form button[name=never]");
        browser.until(d -> browser.count("section[aria-labelledby=care] table") == 0);
        nothingAmiss();
    }

    @Test
    void someOfItStandElsewhereAndTheCarryingIsPutRight() {
        sheet();
        browser.type("carry-place", "Warm bench");
        browser.type("carry-pieces", "8");
        browser.type("carry-cells", "row A");
        browser.press("form[action$='/carry'] button");
        said("8 of it stand on Warm bench now");
        assertThat(browser.text("main p.lead")).contains("8 of them on Warm bench (row A)");

        String stood = "section[aria-labelledby=stands] form[action*='/stood/']";
        browser.script("document.querySelector(\"" + stood + " [name=pieces]\").value = '6'");
        browser.press(stood + " button:not([name])");
        said("Where it stood is corrected");
        assertThat(browser.text("main p.lead")).contains("6 of them on Warm bench");
        browser.press("form[action$='/rejoin'] button");
        said("They stand with the rest again");

        UUID home = now().placeId();
        browser.type("carry-place", "Cold frame");
        browser.press("form[action$='/carry'] button");
        said("It stands on Cold frame now");
        assertThat(now().placeId()).isNotEqualTo(home);
        // The clock of tests stands still, so that two of one moment come in any order.
        browser.script("[...document.querySelectorAll('section[aria-labelledby=stands] li')]"
                + ".find((l) => l.textContent.includes('Cold frame')).id = 'cold'");
        browser.press("#cold button[name=takeBack]");
        said("It was not carried");
        assertThat(now().placeId()).isEqualTo(home);
        assertThat(browser.text("section[aria-labelledby=corrected]")).contains("taken back");
        nothingAmiss();
    }

    @Test
    void twoRemnantsShareAVesselAndStandAloneAgain() {
        String other = in(() -> Growing.tray(batches, guide, fuchsia, 2, 6, TODAY.minusDays(18)))
                .code();
        sheet();
        browser.type("other", other);
        browser.press("form[action$='/together'] button");
        said("They share a vessel");
        assertThat(browser.text("main p.lead")).contains("together with " + other);
        browser.press("form[action$='/apart'] button");
        said("It stands alone again");
        nothingAmiss();
    }

    @Test
    void whatWasSentAwayIsPutRightAndTheSheetAddsUp() {
        in(() -> batches.look(code, Growing.count(TODAY.minusDays(5), 10, 2)));
        sheet();
        browser.type("send-pieces", "4");
        browser.type("send-to", "Gull Rock Gardens");
        browser.press("form[action$='/send'] button");
        said("4 have left");
        assertThat(browser.text("#sent")).contains("4 not rooted yet, sent away to Gull Rock Gardens");

        String sent = "#sent form";
        browser.script("document.querySelector(\"" + sent + " [name=pieces]\").value = '40'");
        browser.press(sent + " button");
        browser.untilText("main .refused", "12 stand here");
        openFolds();
        browser.script("document.querySelector(\"" + sent + " [name=pieces]\").value = '3'");
        browser.press(sent + " button");
        said("What left is corrected");
        assertThat(now().sentAway()).isEqualTo(3);
        browser.script("document.querySelector(\"" + sent + " [name=pieces]\").value = '0'");
        browser.press(sent + " button");
        said("They had not left");
        assertThat(now().sentAway()).isZero();
        assertThat(List.of(
                        now().counts().pending(),
                        now().readyToMove(),
                        now().counts().lost()))
                .as("waiting, ready, lost of 24")
                .containsExactly(12, 10, 2);
        nothingAmiss();
    }

    @Test
    void aStickThatWasNotIsTakenBack() {
        String drying = in(() -> batches.make(
                        Growing.newBatch(guide, "pad-in-grit", fuchsia, 6, TODAY.minusDays(9), TODAY.minusDays(2))))
                .code();
        browser.open("/batches/" + drying + "/correct");
        browser.type("why-unstick", "that was the other tray");
        browser.press("section[aria-labelledby=unstick] button");
        browser.untilPath("/batches/" + drying);
        browser.untilText("main dl.answers", "Taken, drying");
        assertThat(in(() -> batches.find(drying)).isStuck()).isFalse();
        nothingAmiss();
    }

    @Test
    void aStockPlantIsOtherThanWasWritten() {
        browser.open("/stock/" + fuchsia.id() + "/change");
        browser.type("origin", "a neighbour's hedge");
        browser.press("main form.fields button.main");
        browser.untilPath("/stock/" + fuchsia.id());
        assertThat(browser.text("section[aria-labelledby=corrected]"))
                .contains("a neighbour's hedge", "raised here", "Grower");
        nothingAmiss();
    }
}
