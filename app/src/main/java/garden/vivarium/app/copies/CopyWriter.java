package garden.vivarium.app.copies;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import garden.vivarium.app.copies.Tables.Column;
import garden.vivarium.app.copies.Tables.Kind;
import garden.vivarium.app.copies.Tables.Table;
import garden.vivarium.app.platform.Today;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.sql.DataSource;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.QuoteMode;
import org.springframework.stereotype.Service;

/**
 * Writes everything of a nursery as one file: {@code vivarium.json}, a table of comma-separated values each, and files beside them.
 * The same state is written as the same bytes.
 */
@Service
class CopyWriter {

    static final CSVFormat CSV = CSVFormat.RFC4180
            .builder()
            .setQuoteMode(QuoteMode.ALL_NON_NULL)
            .setNullString("")
            .get();

    /** Every entry bears the same date, so that the same state gives the same bytes. */
    private static final LocalDateTime NO_TIME = LocalDateTime.of(1980, 1, 1, 0, 0);

    private static final int AT_ONCE = 500;

    private final Tables tables;
    private final DataSource database;
    private final Today today;
    private final ObjectMapper json;

    CopyWriter(Tables tables, DataSource database, Today today, ObjectMapper json) {
        this.tables = tables;
        this.database = database;
        this.today = today;
        this.json = json.copy().enable(SerializationFeature.INDENT_OUTPUT);
    }

    /** Writes a nursery as it is at one moment, whatever is written in it meanwhile. */
    void write(UUID nursery, OutputStream to) {
        List<Table> all = List.copyOf(tables.all().values());
        try (Connection connection = database.getConnection()) {
            int before = connection.getTransactionIsolation();
            connection.setAutoCommit(false);
            connection.setReadOnly(true);
            connection.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ);
            try (ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8)) {
                all(connection, nursery, all, zip);
            } finally {
                connection.rollback();
                connection.setTransactionIsolation(before);
                connection.setReadOnly(false);
                connection.setAutoCommit(true);
            }
        } catch (SQLException e) {
            throw new IllegalStateException("the nursery could not be read", e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void all(Connection connection, UUID nursery, List<Table> all, ZipOutputStream zip)
            throws SQLException, IOException {
        List<Contents.Part> parts = new ArrayList<>();
        List<Column> own = tables.nursery();
        parts.add(new Contents.Part("nursery", 1, names(own)));
        for (Table t : all) {
            long rows = count(connection, nursery, t);
            if (rows > 0) {
                parts.add(new Contents.Part(t.name(), rows, names(t.columns())));
            }
        }
        begin(zip, "vivarium.json");
        zip.write(json.writeValueAsBytes(new Contents(
                Contents.FORMAT,
                tables.asOf(),
                today.date().toString(),
                nursery.toString(),
                name(connection, nursery),
                Contents.UNITS,
                parts)));
        zip.closeEntry();
        rows(connection, nursery, "nursery", own, "id", "id", zip);
        for (Table t : all) {
            if (parts.stream().anyMatch(p -> p.table().equals(t.name()))) {
                rows(connection, nursery, t.name(), t.columns(), Tables.OWNER, String.join(", ", t.key()), zip);
            }
        }
        for (Table t : all) {
            for (Column c : t.columns()) {
                if (c.kind() == Kind.FILE) {
                    files(connection, nursery, t, c.name(), zip);
                }
            }
        }
    }

    private static List<String> names(List<Column> columns) {
        return columns.stream().map(Column::name).toList();
    }

    private static long count(Connection connection, UUID nursery, Table t) throws SQLException {
        try (PreparedStatement s = asked(connection, "select count(*) from " + t.name(), Tables.OWNER, nursery, "");
                ResultSet rows = s.executeQuery()) {
            rows.next();
            return rows.getLong(1);
        }
    }

    private static String name(Connection connection, UUID nursery) throws SQLException {
        try (PreparedStatement s = asked(connection, "select name from nursery", "id", nursery, "");
                ResultSet rows = s.executeQuery()) {
            if (!rows.next()) {
                throw new CopyRefused("There is no such nursery here.");
            }
            return rows.getString(1);
        }
    }

    private static PreparedStatement asked(
            Connection connection, String select, String owner, UUID nursery, String order) throws SQLException {
        PreparedStatement s = connection.prepareStatement(
                select + " where " + owner + " = ?" + order, ResultSet.TYPE_FORWARD_ONLY, ResultSet.CONCUR_READ_ONLY);
        s.setFetchSize(AT_ONCE);
        s.setString(1, nursery.toString());
        return s;
    }

    private static void rows(
            Connection connection,
            UUID nursery,
            String table,
            List<Column> columns,
            String owner,
            String order,
            ZipOutputStream zip)
            throws SQLException, IOException {
        begin(zip, table + ".csv");
        // The names of tables and columns are the database's own, not anybody's words.
        String select = columns.stream()
                .map(c -> c.kind() == Kind.FILE ? c.name() + " is not null" : c.name())
                .collect(Collectors.joining(", ", "select ", " from " + table));
        int id = names(columns).indexOf("id");
        Writer text = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
        try (PreparedStatement s = asked(connection, select, owner, nursery, " order by " + order);
                ResultSet rows = s.executeQuery()) {
            // Not closed: that would close the whole file.
            CSVPrinter csv = new CSVPrinter(text, CSV);
            csv.printRecord(names(columns));
            List<String> cells = new ArrayList<>();
            while (rows.next()) {
                cells.clear();
                for (int i = 0; i < columns.size(); i++) {
                    Column c = columns.get(i);
                    cells.add(
                            c.kind() != Kind.FILE
                                    ? Cells.written(rows, i + 1, c.kind())
                                    : rows.getBoolean(i + 1) ? file(table, rows.getString(id + 1), c.name()) : null);
                }
                csv.printRecord(cells);
            }
            csv.flush();
        }
        zip.closeEntry();
    }

    private static void files(Connection connection, UUID nursery, Table t, String column, ZipOutputStream zip)
            throws SQLException, IOException {
        try (PreparedStatement s = asked(
                        connection,
                        "select id, " + column + " from " + t.name(),
                        column + " is not null and " + Tables.OWNER,
                        nursery,
                        " order by id");
                ResultSet rows = s.executeQuery()) {
            while (rows.next()) {
                begin(zip, file(t.name(), rows.getString(1), column));
                zip.write(rows.getBytes(2));
                zip.closeEntry();
            }
        }
    }

    /** Where a file lies that a cell names. */
    static String file(String table, String id, String column) {
        return "files/%s/%s-%s%s".formatted(table, id, column, table.startsWith("photo") ? ".jpg" : "");
    }

    private static void begin(ZipOutputStream zip, String name) throws IOException {
        ZipEntry entry = new ZipEntry(name);
        entry.setTimeLocal(NO_TIME);
        zip.putNextEntry(entry);
    }
}
