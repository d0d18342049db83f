package garden.vivarium.app.exchange;

import com.github.miachm.sods.Range;
import com.github.miachm.sods.Sheet;
import com.github.miachm.sods.SpreadSheet;
import garden.vivarium.app.platform.Messages;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;

/** Makes text of a file: CSV as it is, the first sheet of a spreadsheet as CSV with its lines where they stand. */
final class Spreadsheets {

    private static final Charset OLD_OFFICE = Charset.forName("windows-1252");
    private static final String FORMULA =
            "The sheet holds formulas, the first in %s. Copy it, paste it as values only, and choose that.";

    /** The way in which numbers are shown tells which of them are days. */
    private static final ReadingOptions WITH_FORMATS = new ReadingOptions(true, true);

    private Spreadsheets() {}

    /**
     * The text of a file.
     *
     * @throws FileRefused if it is none that is read, or more than is read of one
     */
    static String text(byte[] bytes) {
        if (bytes.length == 0) {
            throw new FileRefused("The file is empty. Give a header row, and a line for each batch or look.");
        }
        if (PackedFile.isOne(bytes)) {
            return switch (PackedFile.inspect(bytes)) {
                case XLSX -> xlsx(bytes);
                case ODS -> ods(bytes);
            };
        }
        return plain(bytes);
    }

    private static String plain(byte[] bytes) {
        String text = decoded(bytes);
        if (text.chars().anyMatch(c -> c == 0)) {
            throw new FileRefused("The file is neither text nor a spreadsheet. Save it as CSV, .xlsx or .ods.");
        }
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    private static String decoded(byte[] bytes) {
        boolean utf16 = bytes.length > 1
                && ((bytes[0] == (byte) 0xFF && bytes[1] == (byte) 0xFE)
                        || (bytes[0] == (byte) 0xFE && bytes[1] == (byte) 0xFF));
        try {
            return (utf16 ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8)
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException notUtf8) {
            return new String(bytes, OLD_OFFICE);
        }
    }

    private static String xlsx(byte[] bytes) {
        Lines lines = new Lines();
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(bytes), WITH_FORMATS);
                Stream<Row> rows = book.getFirstSheet().openStream()) {
            for (Iterator<Row> all = rows.iterator(); all.hasNext(); ) {
                Row row = all.next();
                List<String> cells = new ArrayList<>();
                for (int i = 0; i < Math.min(row.getCellCount(), Caps.COLUMNS + 1); i++) {
                    cells.add(row.getOptionalCell(i).map(Spreadsheets::value).orElse(""));
                }
                lines.add(row.getRowNum(), cells);
            }
        } catch (FileRefused refused) {
            throw refused;
        } catch (IOException | RuntimeException e) {
            throw new FileRefused("The spreadsheet cannot be read. Open it, save it anew as .xlsx, and choose that.");
        }
        return lines.text();
    }

    private static String value(Cell cell) {
        if (cell.getFormula() != null && !cell.getFormula().isEmpty()) {
            throw new FileRefused(FORMULA.formatted(cell.getAddress()));
        }
        if (cell.getType() == CellType.NUMBER) {
            return isDay(cell) ? day(cell.asDate()) : number(cell.asNumber());
        }
        return Optional.ofNullable(cell.getText()).orElse("");
    }

    /** Excel has no days, only numbers shown as days: the way of showing tells. */
    private static boolean isDay(Cell cell) {
        String format = cell.getDataFormatString();
        return format != null
                && format.replaceAll("\\[[^\\]]*\\]|\"[^\"]*\"", "").matches("(?i).*[dmy].*");
    }

    private static String day(LocalDateTime at) {
        return at.toLocalDate().toString();
    }

    private static String number(BigDecimal number) {
        return SheetBounds.isOfSize(number.toString())
                ? number.stripTrailingZeros().toPlainString()
                : number.toString();
    }

    private static String ods(byte[] bytes) {
        Lines lines = new Lines();
        try {
            SpreadSheet book = new SpreadSheet(new ByteArrayInputStream(PackedFile.sheetsOnly(bytes)));
            if (book.getNumSheets() == 0) {
                throw new FileRefused("The spreadsheet has no sheet. Put the lines into its first sheet.");
            }
            Sheet sheet = book.getSheet(0);
            int rows = sheet.getMaxRows();
            int columns = Math.min(sheet.getMaxColumns(), Caps.COLUMNS + 1);
            if (rows == 0 || columns == 0) {
                return "";
            }
            for (int r = 0; r < rows; r++) {
                Range row = sheet.getRange(r, 0, 1, columns);
                List<String> cells = new ArrayList<>();
                for (int c = 0; c < columns; c++) {
                    Range cell = row.getCell(0, c);
                    if (cell.getFormula() != null) {
                        throw new FileRefused(
                                FORMULA.formatted(Messages.text("Spreadsheets.line", "line", r + 1, "column", c + 1)));
                    }
                    cells.add(shown(cell.getValue()));
                }
                lines.add(r + 1, cells);
            }
        } catch (FileRefused refused) {
            throw refused;
        } catch (IOException | RuntimeException e) {
            throw new FileRefused("The spreadsheet cannot be read. Open it, save it anew as .ods, and choose that.");
        }
        return lines.text();
    }

    private static String shown(Object value) {
        if (value instanceof Number n) {
            return number(new BigDecimal(n.toString()));
        }
        if (value instanceof LocalDate || value instanceof String) {
            return value.toString();
        }
        return value == null ? "" : value instanceof LocalDateTime at ? day(at) : value.toString();
    }

    /** Lines of a sheet as CSV, each where it stands. */
    private static final class Lines {

        private final StringWriter text = new StringWriter();
        private final CSVPrinter printer;
        private int filled;
        private int last;

        Lines() {
            try {
                printer = new CSVPrinter(text, CSVFormat.RFC4180);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        void add(int number, List<String> cells) {
            if (cells.stream().allMatch(String::isBlank)) {
                return;
            }
            if (++filled > Caps.LINES + 1) {
                throw new FileRefused(Messages.text("Table.lines", "most", Caps.LINES));
            }
            try {
                for (int i = last + 1; i < number; i++) {
                    text.append("\r\n");
                }
                // A line of the sheet is a line of the text.
                printer.printRecord(
                        cells.stream().map(c -> c.replaceAll("\\s+", " ")).toList());
                last = number;
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        String text() {
            return text.toString();
        }
    }
}
