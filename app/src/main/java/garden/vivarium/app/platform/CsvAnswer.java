package garden.vivarium.app.platform;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A table as a file, with its numbers as they were reckoned; text that a spreadsheet would take for a formula is made harmless. */
public final class CsvAnswer {

    private CsvAnswer() {}

    /** As an answer that a browser keeps under that name. */
    public static ResponseEntity<String> of(String name, List<String> header, List<List<Object>> rows) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter out = new CSVPrinter(text, CSVFormat.RFC4180)) {
            out.printRecord(header);
            for (List<Object> row : rows) {
                out.printRecord(row.stream().map(CsvAnswer::cell).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(text.toString());
    }

    private static Object cell(Object value) {
        return value instanceof String s && !s.isEmpty() && "=+-@\t\r".indexOf(s.charAt(0)) >= 0 ? "'" + s : value;
    }
}
