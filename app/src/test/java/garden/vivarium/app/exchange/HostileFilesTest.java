package garden.vivarium.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Files come from anywhere: what is too much or not what it says is refused with a reason. */
class HostileFilesTest {

    private static final String CONTENT =
            "<office:document-content xmlns:office='urn:oasis:names:tc:opendocument:xmlns:office:1.0'"
                    + " xmlns:table='urn:oasis:names:tc:opendocument:xmlns:table:1.0' xmlns:text='urn:oasis:names:tc:opendocument:xmlns:text:1.0'>"
                    + "<office:automatic-styles/><office:body><office:spreadsheet><table:table table:name='s'>%s</table:table></office:spreadsheet>"
                    + "</office:body></office:document-content>";

    private static void refused(byte[] bytes, String because) {
        assertThatThrownBy(() -> Table.read(Spreadsheets.text(bytes)))
                .isInstanceOf(FileRefused.class)
                .hasMessageContaining(because);
    }

    private static byte[] xlsx(String... files) {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("xl/workbook.xml", "<workbook/>");
        for (int i = 0; i < files.length; i += 2) {
            all.put(files[i], files[i + 1]);
        }
        return Spreadsheet.packed(all);
    }

    private static byte[] ods(String rows) {
        return Spreadsheet.packed(Map.of("content.xml", CONTENT.formatted(rows)));
    }

    @Test
    void aBombIsNotUnpacked() {
        byte[] bomb = xlsx("xl/worksheets/sheet1.xml", " ".repeat(70_000_000));

        assertThat(bomb).hasSizeLessThan(200_000);
        refused(bomb, "unpacks to more than 40 MB");
    }

    private static byte[] sheet(String data) {
        return xlsx(
                "xl/worksheets/sheet1.xml",
                "<worksheet xmlns='http://schemas.openxmlformats.org/spreadsheetml/2006/main'><sheetData>%s</sheetData></worksheet>"
                        .formatted(data));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            <row r='1000000000'><c r='A1000000000'><v>1</v></c></row>  | Row 1,000,000,000 lies beyond 20,000
            <row r='30000'><c r='A30000'><v>1</v></c></row>            | Row 30,000 lies beyond 20,000
            <row r='99999999999999999999'/>                            | lies beyond 20,000
            <row r='1'><c r='ZZZZZZ1'><v>1</v></c></row>               | Column ZZZZZZ lies beyond
            <row r='1'><c r='AAAAAAAAAAAAAAAAAAAAAAAA1'/></row>        | lies beyond the 60 columns
            <row r='1'><c r='B1'><v>1E999999999</v></c></row>          | 1E999999999 in B1 has more digits
            <row r='1'><c r='B1'><v>1E-999999999</v></c></row>         | 1E-999999999 in B1 has more digits
            """)
    void aSheetOfAKilobyteThatWouldFillTheMemoryIsRefusedByItsTrueReason(String data, String because) {
        assertThat(sheet(data)).hasSizeLessThan(1500);
        refused(sheet(data), because);
    }

    @Test
    void longCellsAndLargeSheetsAreRefusedBeforeTheyAreRead() {
        refused(
                sheet("<row r='3'><c r='C3' t='inlineStr'><is><t>" + "x".repeat(40_000) + "</t></is></c></row>"),
                "C3 holds");
        refused(
                xlsx("xl/sharedStrings.xml", "<sst><si><t>" + "x".repeat(40_000) + "</t></si></sst>"),
                "characters or more");
        refused(sheet("<row r='1'/>".repeat(3_500_000)), "One sheet of it unpacks to more than 40 MB");
        refused(
                ods(
                        "<table:table-row><table:table-cell office:value-type='float' office:value='1E999999999'><text:p>x</text:p></table:table-cell></table:table-row>"),
                "has more digits");
        refused(
                ods(
                        "<table:table-row table:number-rows-repeated='999999999'><table:table-cell/></table:table-row>"
                                + "<table:table-row><table:table-cell><text:p>plant</text:p></table:table-cell></table:table-row>"),
                "Row 1,000,000,000 lies beyond 20,000");
    }

    @Test
    void manyFilesLinksMacrosAndDefinitionsAreRefused() {
        refused(
                xlsx(IntStream.range(0, 250)
                        .boxed()
                        .flatMap(i -> Stream.of("xl/x" + i + ".xml", "<x/>"))
                        .toArray(String[]::new)),
                "more than 200 files");
        refused(xlsx("xl/externalLinks/externalLink1.xml", "<x/>"), "links to other files");
        refused(xlsx("xl/vbaProject.bin", "x"), "macros");
        refused(
                xlsx("xl/worksheets/sheet1.xml", "<!DOCTYPE x [<!ENTITY a SYSTEM 'file:///etc/passwd'>]><x>&a;</x>"),
                "defines words of its own");
        refused(
                xlsx(
                        "xl/sharedStrings.xml",
                        "<!--" + "x".repeat(16_380)
                                + "--><!DOCTYPE x [<!ENTITY a SYSTEM 'file:///etc/passwd'>]><x>&a;</x>"),
                "defines words of its own");
        refused(Spreadsheet.packed(Map.of("hello.txt", "x")), "no .xlsx or .ods");
        refused(xlsx("xl/worksheets/sheet1.xml", "not a sheet"), "cannot be read");
        refused(new byte[] {'P', 'K', 3, 4, 9, 9, 9, 9}, "");
    }

    @Test
    void formulasAreNamedWithTheirCell() {
        refused(Spreadsheet.xlsx(new Object[] {"plant", "stuck"}, new Object[] {"Fuchsia", "=1+2"}), "B2");
    }

    @Test
    void aMillionRowsAreRefusedAndAMillionEmptyOnesAreNone() {
        String filled =
                "<table:table-row><table:table-cell office:value-type='string'><text:p>plant</text:p></table:table-cell></table:table-row>";
        refused(
                ods(filled
                        + filled.replace(
                                "<table:table-row>", "<table:table-row table:number-rows-repeated='1000000'>")),
                "more than 20,000 lines");
        refused(
                ods(filled.replace("<table:table-cell ", "<table:table-cell table:number-columns-repeated='16000' ")),
                "16,000 columns");
        StringBuilder rows = new StringBuilder("plant\n");
        IntStream.range(0, 20_001).forEach(i -> rows.append("F").append(i).append('\n'));
        refused(rows.toString().getBytes(StandardCharsets.UTF_8), "more than 20,000 lines");

        byte[] tail = ods(
                filled
                        + filled
                        + "<table:table-row table:number-rows-repeated='1048000'><table:table-cell table:number-columns-repeated='1024'/></table:table-row>");
        assertThat(Table.read(Spreadsheets.text(tail)).rows()).hasSize(1);
    }

    @Test
    void columnsAndCellsHaveLimits() {
        refused(",".repeat(70).concat("x\n").getBytes(StandardCharsets.UTF_8), "71 columns");
        refused(("plant,note\nF,\n\nF," + "x".repeat(2_001) + "\n").getBytes(StandardCharsets.UTF_8), "Line 4");
        refused("plant,note\nF,\"open\n".getBytes(StandardCharsets.UTF_8), "quotation mark");
        refused(new byte[] {1, 0, 2, 0, 3}, "neither text nor a spreadsheet");
        refused(new byte[0], "empty");
    }

    @Test
    void linesAreNumberedAsAnEditorNumbersThem() {
        Table table = Table.read("plant;note\r\nA;\"one\r\ntwo\r\nthree\"\r\n\r\nB;\r\nC;\"x\ny\"\nD;");

        assertThat(table.headers()).containsExactly("plant", "note");
        assertThat(table.rows()).extracting(Table.Row::number).containsExactly(2L, 6L, 7L, 9L);
    }

    @Test
    void daysNumbersAndEmptyLinesOfSpreadsheetsStandWhereTheyStood() {
        Object[][] rows = {
            {"plant", "stuck on", "n", "note"},
            {"Fuchsia", LocalDate.of(2025, 5, 1), 24, "two\nlines"},
            {null, null, null, null},
            {"Sage", LocalDate.of(2025, 6, 2), 12.0, null}
        };
        for (byte[] file : new byte[][] {Spreadsheet.xlsx(rows), Spreadsheet.ods(rows)}) {
            Table table = Table.read(Spreadsheets.text(file));
            assertThat(table.rows()).extracting(Table.Row::number).containsExactly(2L, 4L);
            assertThat(table.rows().get(0).cells()).containsExactly("Fuchsia", "2025-05-01", "24", "two lines");
            assertThat(table.rows().get(1).cells()).containsExactly("Sage", "2025-06-02", "12", "");
        }
    }

    @Test
    void oldOfficeTextAndWideTextAreRead() {
        assertThat(Spreadsheets.text("plant\nCafé\n".getBytes(Charset.forName("windows-1252"))))
                .contains("Café");
        assertThat(Spreadsheets.text("\uFEFFplant\nCafé\n".getBytes(StandardCharsets.UTF_16LE)))
                .contains("Café");
        assertThat(Spreadsheets.text("\uFEFFplant\n".getBytes(StandardCharsets.UTF_8)))
                .startsWith("plant");
    }
}
