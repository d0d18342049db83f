package garden.vivarium.app.exchange;

import com.github.miachm.sods.Sheet;
import com.github.miachm.sods.SpreadSheet;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;

/** Makes spreadsheets for tests, good ones and others. */
public final class Spreadsheet {

    private Spreadsheet() {}

    /** An .xlsx of these rows: days as days, numbers as numbers. */
    public static byte[] xlsx(Object[]... rows) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(bytes, "Test", "1.0")) {
            Worksheet sheet = book.newWorksheet("Notes");
            for (int r = 0; r < rows.length; r++) {
                for (int c = 0; c < rows[r].length; c++) {
                    Object value = rows[r][c];
                    if (value instanceof LocalDate day) {
                        sheet.value(r, c, day);
                        sheet.style(r, c).format("yyyy-mm-dd").set();
                    } else if (value instanceof Number number) {
                        sheet.value(r, c, number);
                    } else if (value instanceof String text && text.startsWith("=")) {
                        sheet.formula(r, c, text.substring(1));
                    } else if (value != null) {
                        sheet.value(r, c, value.toString());
                    }
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** An .ods of these rows. */
    static byte[] ods(Object[]... rows) {
        Sheet sheet = new Sheet("Notes", rows.length, rows[0].length);
        for (int r = 0; r < rows.length; r++) {
            for (int c = 0; c < rows[r].length; c++) {
                sheet.getRange(r, c).setValue(rows[r][c]);
            }
        }
        SpreadSheet book = new SpreadSheet();
        book.appendSheet(sheet);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            book.save(bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** A packed file of these texts by name. */
    static byte[] packed(Map<String, String> files) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, String> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }
}
