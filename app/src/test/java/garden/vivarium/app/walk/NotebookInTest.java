package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.exchange.Spreadsheet;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Somebody's notebook and spreadsheet, let in at the page without an editor. */
class NotebookInTest extends AtThePages {

    @TempDir
    private Path folder;

    private void bring(String name, byte[] bytes) throws IOException {
        browser.open("/records");
        browser.upload("file", Files.write(folder.resolve(name), bytes));
        browser.press("main button.main");
        browser.untilPath("/records/");
    }

    private void pick(String label, String value) {
        browser.script(
                "const s = document.querySelector(`[aria-label='${arguments[0]}']`); s.value = arguments[1];"
                        + " s.dispatchEvent(new Event('change', {bubbles: true}));",
                label,
                value);
    }

    private void sayOn(String name, String value) {
        browser.script("document.querySelector(`[name='${arguments[0]}']`).value = arguments[1];", name, value);
    }

    @Test
    void anOddNotebookIsLetInWithoutAnEditor() throws Exception {
        in(() -> stock.plantNamed("Fuchsia ‘Skerry Lantern’", "soft"));
        bring("notes.csv", """
                Variety;Potted;Started;What;Into;No.;OK;Remarks;weather
                Fuchsia ‘Skery Lantern’;3/5/2025;12/4/2025;tip cuttings;perlite/compost 50:50;24;18;"good
                roots";wet
                Sage ‘Grey Gull’;20/6/2025;June 2025;tip;sphagnum;10;;late;dry
                Sage ‘Grey Gull’;wk 30;25/6/2025;stem cuttings;unicorn dust;12;9;;
                Hoya ‘Pearl Drift’;;1/2/2025;tip cuttings;water;six;;;
                """.getBytes(StandardCharsets.UTF_8));
        assertThat(browser.text("main")).contains("One column is missing", "Days are written as 12/4/2025");
        assertThat(browser.barriers()).isEmpty();
        browser.press("[name=order][value=DAY_FIRST]");
        browser.type("year", "2025");
        sayOn("same-lost", "rest");
        pick("What unicorn dust is", "=");
        browser.press("#say button.main");

        browser.untilText("h2", "2 lines are wrong.");
        sayOn("mend-4-ready", "7");
        browser.press("[name=leave-6]");
        browser.press("#say button.main");

        browser.untilText("main", "Would make 3 batches");
        assertThat(browser.text("main"))
                .contains("1 of them left out", "18 ready, 6 lost", "1 peat-free compost + 1 perlite");
        browser.press("section[aria-label='What it would do'] button.main");
        browser.untilText(".said", "3 entries are part of your record now");
        assertThat(browser.complaints()).isEmpty();

        browser.press("section[aria-label='How it stands'] form button:not(.main)");
        browser.untilText(".said", "Taken back");
    }

    @Test
    void aSpreadsheetIsReadAsItIs() throws Exception {
        bring(
                "batches.xlsx",
                Spreadsheet.xlsx(
                        new Object[] {
                            "Plant", "Method", "Medium", "Date stuck", "Number", "Date checked", "Rooted", "Dead"
                        },
                        new Object[] {
                            "Penstemon ‘Slack Water’",
                            "tip cutting",
                            "perlite",
                            LocalDate.of(2025, 5, 1),
                            24,
                            LocalDate.of(2025, 6, 1),
                            20,
                            4
                        }));

        browser.untilText("main", "Would make 1 batch");
        assertThat(browser.text("main"))
                .contains("24 on Thu 1 May 2025", "20 ready, 4 lost by Sun 1 Jun 2025", "new plant");
    }

    @Test
    void aHostileSpreadsheetIsRefusedWithAReason() throws Exception {
        bring("sum.xlsx", Spreadsheet.xlsx(new Object[] {"Plant", "Number"}, new Object[] {"Sage", "=SUM(1,2)"}));

        browser.untilText("[role=alert]", "The sheet holds formulas, the first in B2.");
        assertThat(browser.text("main")).contains("Choose another file");
    }
}
