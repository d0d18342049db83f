package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchCorrections;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.core.looks.PieceState;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A trial is designed, laid out, stuck, looked at cell by cell, and read at its end. */
@Order(2)
class TrialInTheBrowserTest extends AtThePages {

    @Autowired
    private BatchCorrections corrections;

    @Test
    void aTrialFromTheQuestionToTheVerdict() throws IOException {
        in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        browser.open("/technique/trials");
        browser.follow("Design one");
        browser.untilShown("a");
        browser.type("a", "perlite");
        browser.type("b", "perlite");
        browser.press("#design button.main");
        browser.untilText("main", "name two that differ");
        browser.type("b", "sharp sand");
        browser.type("rateA", "85");
        browser.type("rateB", "50");
        browser.untilText("#needed", "To tell 85 from 50 of 100 takes 27 of each, 54 pieces in all.");
        browser.type("rows", "4");
        browser.type("columns", "8");
        assertThat(browser.barriers()).isEmpty();
        browser.press("#design button.main");
        browser.untilText("main .said", "The layout is drawn");
        // (0.85, 0.5): 27 of each, two trays of 32 cells.
        assertThat(browser.text("main")).contains("27 pieces of each, in 2 trays");
        assertThat(browser.count(".trial-map .trial-arm-0")).isEqualTo(27);
        assertThat(browser.count(".trial-map .trial-arm-1")).isEqualTo(27);
        assertThat(browser.barriers()).isEmpty();
        String trial = browser.path();
        isStuckThirtyDaysAgo();
        assertThat(browser.text("main")).contains("0 of 54 are judged", "no page sets the ways side by side");
        browser.press("form[action$='/labels'] button");
        browser.untilText("main .said", "A label for each tray is made ready");
        assertThat(browser.fetch((String)
                        browser.script("return document.querySelector('main a[href$=pdf]').getAttribute('href')")))
                .startsWith("%PDF".getBytes(StandardCharsets.US_ASCII));
        browser.press("form[action$='/cell-labels'] button");
        browser.untilText("main .said", "made ready");
        try (PDDocument sheets = Loader.loadPDF(browser.fetch(
                (String) browser.script("return document.querySelector('main a[href$=pdf]').getAttribute('href')")))) {
            // 54 go on one sheet of 65 small ones.
            assertThat(sheets.getNumberOfPages()).isOne();
            String words = new PDFTextStripper().getText(sheets);
            assertThat(words.lines().filter(l -> l.startsWith("perlite"))).hasSize(27);
            assertThat(words.lines().filter(l -> l.startsWith("sharp sand"))).hasSize(27);
            assertThat(words).contains("row 4, cell 1");
        }
        browser.press("main details summary");
        browser.script(
                "document.getElementById('end').value = arguments[0]",
                TODAY.plusDays(40).toString());
        browser.press("form[action$='/end'] button");
        browser.untilText("main .said", "It is read on the new day");
        assertThat(browser.count("#by-tray")).isZero();

        // Of the first way all become ready, of the second half.
        look(trial, Map.of("perlite", 1, "sharp sand", 2));
        browser.open(trial);
        assertThat(browser.text("main")).contains("54 of 54 are judged");
        assertThat(browser.count("#by-tray")).isZero();
        browser.press("form[action$='/close'] button");
        browser.untilText("#said", "perlite gives more: 27 of 27 became ready, 13 of 27 with sharp sand");
        assertThat(browser.count(".trial-map .trial-ready")).isEqualTo(40);
        assertThat(browser.count(".trial-map .trial-lost")).isEqualTo(14);
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.text("#edges"))
                .startsWith("At the edges of the trays")
                .contains("within");
        browser.press("form[action$='/reopen'] button");
        browser.untilText("main .said", "The closing is taken back");
        assertThat(browser.text("main .warning")).contains("looked at the arms");
        browser.press("form[action$='/close'] button");
        browser.untilText("#said", "perlite gives more: 27 of 27 became ready, 13 of 27 with sharp sand");
        browser.press("form[action$='/usual'] button");
        browser.untilText("main .said", "perlite is the usual way");
        browser.open("/technique/trials");
        assertThat(browser.text("#trials"))
                .contains("perlite or sharp sand Fuchsia", "perlite gives more", "27 of each in 2 trays, read on");
        browser.size(390, 844, true);
        assertThat(browser.width()).isEqualTo(390);
        assertThat(browser.barriersOfAPhone()).isEmpty();
        browser.size(1280, 800, false);
        browser.open("/technique");
        assertThat(browser.text("section[aria-labelledby=usual]")).contains("perlite for Fuchsia");
        assertThat(browser.text("main")).as("both in one tray are no way").doesNotContain("trial: ");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aTrialOfThreeWaysNamesTheOneThatIsAboveTheOthers() {
        asks("Penstemon ‘Low Tide’", "perlite", "peat");
        browser.type("rateA", "60");
        browser.type("rateB", "80");
        browser.untilText("#needed", "takes 82 of each, 164 pieces in all");
        browser.type("c", "sharp sand");
        browser.untilText("#needed", "takes 109 of each, 327 pieces in all");
        browser.type("perArm", "24");
        // By the same formula, solved for the difference: 24 of each of three.
        browser.untilText("#needed", "With 24 of each only a difference of about 37 of 100 is told so surely.");
        browser.type("perArm", "8");
        browser.untilText("#needed", "With 8 of each nothing is told so surely.");
        browser.type("perArm", "24");
        browser.type("rows", "6");
        browser.type("columns", "12");
        browser.press("#design button.main");
        browser.untilText("main .said", "The layout is drawn");
        assertThat(browser.text("h1")).startsWith("perlite, peat or sharp sand");
        assertThat(browser.count(".trial-map .trial-arm-2")).isEqualTo(24);
        assertThat(browser.barriers()).isEmpty();
        String trial = browser.path();
        isStuckThirtyDaysAgo();
        look(trial, Map.of("perlite", 1, "peat", 2, "sharp sand", 3));
        browser.open(trial);
        assertThat(browser.count("#pairs")).isZero();
        browser.press("form[action$='/close'] button");
        browser.untilText(
                "#said",
                "perlite gives most, and more than each of the others: 24 of 24 became ready with perlite, 12 of 24 became ready with peat, 8 of 24 became ready with sharp sand.");
        // Half against a third of 24 is told from nothing: exact p 0.38.
        assertThat(browser.texts("#pairs tbody tr td:last-child")).containsExactly("yes", "yes", "no");
        assertThat(browser.texts("#pairs tbody tr td:nth-child(4)")).containsExactly("under 0.1%", "under 0.1%", "38%");
        assertThat(browser.texts("#by-tray th")).containsExactly("Tray", "perlite", "peat", "sharp sand");
        assertThat(browser.barriers()).isEmpty();

        // It was the coarse one: what was said is said in that name, and nobody looked too early.
        browser.press("details:has(#name-0) summary");
        browser.type("name-0", "coarse perlite");
        browser.type("name-2", " ");
        browser.press("form[action$='/arms'] button");
        browser.untilText("main", "Name this way too");
        browser.type("name-0", "coarse perlite");
        browser.type("name-2", "sharp sand");
        browser.press("form[action$='/arms'] button");
        browser.untilText("#said", "coarse perlite gives most, and more than each of the others: 24 of 24");
        assertThat(browser.text("main"))
                .doesNotContain("Since it was closed more was looked at", "looked at the arms on");
        browser.press("form[action$='/usual'] button");
        browser.untilText("main .said", "coarse perlite is the usual way");
        assertThat(browser.complaints()).isEmpty();
    }

    /** Of a new stock plant, in the form that is shown then. */
    @Test
    void aTrialCalledCallusedOrFreshTellsNobodyThatWoundsWereDried() {
        asks("Fuchsia ‘Spindrift’", "callused", "fresh");
        browser.type("rateA", "85");
        browser.type("rateB", "50");
        browser.type("rows", "4");
        browser.type("columns", "8");
        browser.press("#design button.main");
        browser.untilText("main .said", "The layout is drawn");
        isStuckThirtyDaysAgo();
        browser.press(".trial-tray h2 a");
        browser.untilPath("/batches/");
        assertThat(browser.text("main")).contains("trial");
        browser.follow("What is wrong with it?");
        browser.untilText("h1", "wrong");
        assertThat(browser.text("body")).doesNotContain("wounds were dried first");
    }

    private void asks(String plant, String one, String other) {
        in(() -> Growing.stockPlant(stock, plant));
        browser.open("/technique/trials/new");
        browser.untilShown("a");
        browser.type("a", one);
        browser.type("b", other);
    }

    private void isStuckThirtyDaysAgo() {
        browser.script(
                "document.getElementById('stuckOn').value = arguments[0]",
                TODAY.minusDays(30).toString());
        browser.press("form[action$='/stick'] button");
        browser.untilText("main .said", "The trays are batches now");
    }

    /** Looks at every tray cell by cell: of each way every so manieth becomes ready, the others are lost. */
    private void look(String trial, Map<String, Integer> everySoMany) {
        String csv = new String(browser.fetch(trial + ".csv"), StandardCharsets.UTF_8);
        List<String> codes = browser.texts(".trial-tray h2 a");
        assertThat(codes).isNotEmpty();
        for (int t = 0; t < codes.size(); t++) {
            List<PieceState> states = new ArrayList<>();
            Map<String, Integer> seen = new HashMap<>();
            String tray = (t + 1) + ",";
            for (String line : csv.lines().filter(l -> l.startsWith(tray)).toList()) {
                String way = line.split(",", -1)[3].replace("\"", "");
                int number = seen.merge(way, 1, Integer::sum);
                states.add(number % everySoMany.get(way) == 0 ? PieceState.READY : PieceState.LOST);
            }
            String code = codes.get(t);
            in(() -> batches.look(code, Growing.pieces(TODAY, states.toArray(new PieceState[0]))));
        }
    }

    @Test
    void whoLooksBeforeTheEndIsWrittenDown() {
        asks("Salvia ‘Tern’", "no hormone", "hormone 0.3%");
        browser.type("perArm", "8");
        browser.type("rows", "2");
        browser.type("columns", "8");
        browser.press("#design button.main");
        browser.untilText("main .said", "The layout is drawn");
        browser.press("form[action$='/stick'] button");
        browser.untilText("main .said", "The trays are batches now");
        browser.press("form[action$='/peek'] button");
        browser.untilText("main .warning", "looked at the arms on");
        assertThat(browser.text("main")).doesNotContain("no page sets the ways side by side");

        // It was not as strong as was thought.
        browser.press("details:has(#name-1) summary");
        browser.type("name-1", "no hormone");
        browser.press("form[action$='/arms'] button");
        browser.untilText("main", "name two that differ");
        browser.type("name-1", "hormone 0.1%");
        browser.press("form[action$='/arms'] button");
        browser.untilText("main .said", "They are called so now");
        assertThat(browser.text("h1")).startsWith("no hormone or hormone 0.1%");
        assertThat(browser.barriers()).isEmpty();

        // The trays were never stuck: each is withdrawn, and the trial may go.
        assertThat(browser.count("form[action$='/drop']")).isZero();
        String trial = browser.path();
        browser.open("/technique/trials");
        assertThat(browser.text("#trials")).contains("Runs since");
        browser.open(trial);
        browser.texts(".trial-tray h2 a").forEach(code -> in(() -> corrections.withdraw(code, "never stuck")));
        browser.open("/technique/trials");
        assertThat(browser.text("#trials")).contains("All its trays were withdrawn");
        browser.open(trial);
        browser.press("form[action$='/drop'] button");
        browser.untilText("main .said", "The trial is dropped");
        assertThat(browser.complaints()).isEmpty();
    }
}
