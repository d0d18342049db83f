package garden.vivarium.app.copies;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import garden.vivarium.app.copies.Tables.Column;
import garden.vivarium.app.copies.Tables.Kind;
import garden.vivarium.app.copies.Tables.Link;
import garden.vivarium.app.copies.Tables.Table;
import garden.vivarium.app.platform.DiskFull;
import garden.vivarium.app.platform.LostConnection;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.app.platform.RowsBroughtUp;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.DateTimeException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.sql.DataSource;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;

/**
 * Reads a copy of a nursery back to the state in which it was written: whole, or not at all. A copy of an earlier version lacks columns
 * that were added since; they begin as they do in a new nursery.
 */
@Service
class CopyReader {

    /** The first migration whose tables could be copied. */
    static final int EARLIEST = 32;

    private static final Logger LOG = LoggerFactory.getLogger(CopyReader.class);
    private static final int AT_ONCE = 500;
    private static final int TIMES = 4;
    private static final String SENT_AWAY = "40001";
    private static final long LARGEST_FILE = 32_000_000;
    /** Characters of one row, of one table, and bytes of pictures and the like of a whole copy. */
    private static final long LARGEST_ROW = 24_000_000;

    /** Rows wait for each other until they are so large together. */
    private static final long MOST_BYTES_AT_ONCE = 16_000_000;

    private static final long LARGEST_COPY = 4_000_000_000L;
    private static final long LARGEST_TABLE = 2_000_000_000;
    private static final long LARGEST_CONTENTS = 1_000_000;

    private final Tables tables;
    private final DataSource database;
    private final ObjectMapper json;
    private final ApplicationEventPublisher events;
    private final List<RowsBroughtUp> earlier;

    CopyReader(
            Tables tables,
            DataSource database,
            ObjectMapper json,
            ApplicationEventPublisher events,
            List<RowsBroughtUp> earlier) {
        this.tables = tables;
        this.database = database;
        this.json = json;
        this.events = events;
        this.earlier = List.copyOf(earlier);
    }

    /**
     * What a file says it is.
     *
     * @throws CopyRefused if it is no copy, or of a version that is not known here
     */
    Contents contents(Path file) {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            return contents(zip);
        } catch (IOException e) {
            throw new CopyRefused("This is no copy of a nursery: it is no zip file, or not all of it is there.");
        }
    }

    private Contents contents(ZipFile zip) throws IOException {
        ZipEntry entry = Optional.ofNullable(zip.getEntry("vivarium.json"))
                .orElseThrow(() -> new CopyRefused("This is no copy of a nursery: there is no vivarium.json in it."));
        Contents contents;
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] text = in.readNBytes((int) LARGEST_CONTENTS);
            contents = json.readValue(text, Contents.class);
            UUID.fromString(contents.nursery());
        } catch (JsonProcessingException | IllegalArgumentException | NullPointerException e) {
            throw new CopyRefused("The vivarium.json of this copy cannot be read.");
        }
        if (contents.format() != Contents.FORMAT || contents.tables() > tables.asOf()) {
            throw new CopyRefused(
                    "This copy is of a later version than this installation. Bring the installation up to date first.");
        }
        if (contents.tables() < EARLIEST) {
            throw new CopyRefused("This copy is of a version that no copies were written by.");
        }
        return contents;
    }

    /**
     * Restores.
     *
     * @return the nursery's id
     * @throws CopyRefused if it is here already, or anything in the file cannot be
     */
    UUID restore(Path file) {
        for (int time = 1; ; time++) {
            try {
                UUID back = once(file);
                events.publishEvent(new NurseryReturned(back));
                return back;
            } catch (SQLException e) {
                // Others write while it is restored; whoever the database sends away for their sake may come again.
                if (time < TIMES && SENT_AWAY.equals(e.getSQLState())) {
                    continue;
                }
                LOG.warn("A copy could not be restored: {}", e.getMessage());
                throw new CopyRefused("A row of this copy cannot be taken: " + plain(e) + " Nothing was restored.");
            }
        }
    }

    private UUID once(Path file) throws SQLException {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8);
                Connection connection = database.getConnection()) {
            Contents contents = contents(zip);
            UUID nursery = UUID.fromString(contents.nursery());
            boolean done = false;
            connection.setAutoCommit(false);
            try (Statement checks = connection.createStatement()) {
                // Rows refer to each other in every direction; what they refer to is looked over at the end.
                checks.execute("set foreign_key_checks = 0");
                all(connection, zip, contents, nursery);
                for (RowsBroughtUp rows : earlier) {
                    rows.bringUp(connection, nursery);
                }
                connection.commit();
                done = true;
            } finally {
                if (!done) {
                    connection.rollback();
                }
                try (Statement checks = connection.createStatement()) {
                    checks.execute("set foreign_key_checks = 1");
                }
                connection.setAutoCommit(true);
            }
            return nursery;
        } catch (IOException e) {
            throw new CopyRefused("This is no copy of a nursery: it is no zip file, or not all of it is there.");
        } catch (NullPointerException | ClassCastException | IndexOutOfBoundsException e) {
            LOG.warn("A copy could not be restored", e);
            throw new CopyRefused(
                    "The vivarium.json of this copy leaves out what belongs there; nothing was restored.");
        }
    }

    private static String plain(SQLException e) {
        String said = String.valueOf(e.getMessage()).replaceFirst("^\\(conn=\\d+\\) ", "");
        if (said.startsWith("Data too long") || said.startsWith("Out of range") || said.startsWith("Incorrect")) {
            // In the database's words: which column, and that it does not fit.
            return said.replaceAll(" at row \\d+.*", "") + ".";
        }
        return "23000".equals(e.getSQLState())
                ? "another row here is the same, or something in it is missing."
                : "a value in it does not fit.";
    }

    private void all(Connection connection, ZipFile zip, Contents contents, UUID nursery)
            throws SQLException, IOException {
        if (isHere(connection, nursery)) {
            throw new CopyRefused(
                    "The nursery “%s” is here already. Restore it into another installation, or erase it here first."
                            .formatted(contents.name()));
        }
        Map<String, Table> all = tables.all();
        for (Contents.Part part : contents.files()) {
            if (part.table().equals("nursery")) {
                rows(connection, zip, part, new Table("nursery", tables.nursery(), List.of("id"), List.of()), nursery);
            } else {
                Table table = Optional.ofNullable(all.get(part.table()))
                        .orElseThrow(() -> new CopyRefused(
                                "There is no table “%s” here; nothing was restored.".formatted(part.table())));
                rows(connection, zip, part, table, nursery);
            }
        }
        if (!isHere(connection, nursery)) {
            throw new CopyRefused("The nursery itself is missing in this copy; nothing was restored.");
        }
        for (Table t : all.values()) {
            for (Link link : t.links()) {
                refuseStrays(connection, t, link, all.containsKey(link.table()), nursery);
            }
        }
    }

    private static boolean isHere(Connection connection, UUID nursery) throws SQLException {
        try (PreparedStatement s = connection.prepareStatement("select count(*) from nursery where id = ?")) {
            s.setString(1, nursery.toString());
            try (ResultSet rows = s.executeQuery()) {
                rows.next();
                return rows.getInt(1) > 0;
            }
        }
    }

    /** A row that names one that is not there, or is another nursery's: what no copy that was written here holds. */
    private static void refuseStrays(Connection connection, Table t, Link link, boolean owned, UUID nursery)
            throws SQLException {
        String sql =
                "select count(*) from %s c left join %s p on p.%s = c.%s where c.%s = ? and c.%s is not null and (p.%s is null%s)"
                        .formatted(
                                t.name(),
                                link.table(),
                                link.named(),
                                link.column(),
                                Tables.OWNER,
                                link.column(),
                                link.named(),
                                owned ? " or p." + Tables.OWNER + " <> c." + Tables.OWNER : "");
        try (PreparedStatement s = connection.prepareStatement(sql)) {
            s.setString(1, nursery.toString());
            try (ResultSet rows = s.executeQuery()) {
                rows.next();
                if (rows.getLong(1) > 0) {
                    throw new CopyRefused("Rows of “%s” name others that are not in this copy; nothing was restored."
                            .formatted(t.name()));
                }
            }
        }
    }

    private void rows(Connection connection, ZipFile zip, Contents.Part part, Table table, UUID nursery)
            throws SQLException, IOException {
        Map<String, Column> known = table.columns().stream().collect(Collectors.toMap(Column::name, c -> c));
        List<Column> columns = new ArrayList<>();
        for (String name : part.columns()) {
            columns.add(Optional.ofNullable(known.get(name))
                    .orElseThrow(() -> new CopyRefused("There is no column “%s” in “%s” here; nothing was restored."
                            .formatted(name, table.name()))));
        }
        boolean own = table.name().equals("nursery");
        String sql = "insert into %s (%s%s) values (%s%s)"
                .formatted(
                        table.name(),
                        own ? "" : Tables.OWNER + ", ",
                        columns.stream().map(Column::name).collect(Collectors.joining(", ")),
                        own ? "" : "?, ",
                        columns.stream().map(c -> "?").collect(Collectors.joining(", ")));
        ZipEntry entry = Optional.ofNullable(zip.getEntry(part.file()))
                .orElseThrow(() -> new CopyRefused("The file %s is missing in this copy.".formatted(part.file())));
        try (PreparedStatement into = connection.prepareStatement(sql);
                RowBounds text = new RowBounds(
                        new InputStreamReader(zip.getInputStream(entry), StandardCharsets.UTF_8),
                        part.file(),
                        LARGEST_ROW,
                        LARGEST_TABLE);
                CSVParser csv = CopyWriter.CSV
                        .builder()
                        .setHeader()
                        .setSkipHeaderRecord(true)
                        .get()
                        .parse(text)) {
            long read = 0;
            long written = 0;
            long bytes = 0;
            long all = 0;
            text.nextRow();
            for (CSVRecord row : csv) {
                if (!row.isConsistent()) {
                    throw new CopyRefused("%s, line %d: it has %d cells, and %d belong there; nothing was restored."
                            .formatted(
                                    part.file(),
                                    read + 2,
                                    row.size(),
                                    csv.getHeaderNames().size()));
                }
                bytes += row(into, row, columns, own ? Optional.empty() : Optional.of(nursery), zip, table, nursery);
                if (all + bytes > LARGEST_COPY) {
                    throw new CopyRefused(
                            "%s, line %d: pictures may have %d million bytes in all; nothing was restored."
                                    .formatted(part.file(), read + 2, LARGEST_COPY / 1_000_000));
                }
                into.addBatch();
                read++;
                text.nextRow();
                if (read - written == AT_ONCE || bytes > MOST_BYTES_AT_ONCE) {
                    write(into, part.file(), written, read);
                    written = read;
                    all += bytes;
                    bytes = 0;
                }
            }
            write(into, part.file(), written, read);
            if (read != part.rows()) {
                throw new CopyRefused("%s should have %d rows and has %d; nothing was restored."
                        .formatted(part.file(), part.rows(), read));
            }
        } catch (CopyRefused refused) {
            throw refused;
        } catch (UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            throw new CopyRefused("%s cannot be read as comma-separated values: %s; nothing was restored."
                    .formatted(part.file(), cut(e.getMessage())));
        }
    }

    /** What the database will not have is named by its file and lines. */
    private static void write(PreparedStatement into, String file, long from, long to) throws SQLException {
        try {
            into.executeBatch();
        } catch (SQLException e) {
            if (SENT_AWAY.equals(e.getSQLState()) || LostConnection.isCauseOf(e) || DiskFull.isCauseOf(e)) {
                throw e;
            }
            LOG.warn("A copy could not be restored: {}", e.getMessage());
            throw new CopyRefused("%s, of lines %d to %d one cannot be taken: %s Nothing was restored."
                    .formatted(file, from + 2, to + 1, plain(e)));
        }
    }

    /** Puts a row's values in, and gives the bytes of its pictures. */
    private static long row(
            PreparedStatement into,
            CSVRecord row,
            List<Column> columns,
            Optional<UUID> owner,
            ZipFile zip,
            Table table,
            UUID nursery)
            throws SQLException, IOException {
        int at = 1;
        long bytes = 0;
        if (owner.isPresent()) {
            into.setString(at++, owner.get().toString());
        }
        for (Column c : columns) {
            String cell = row.isMapped(c.name()) ? row.get(c.name()) : null;
            try {
                if (c.kind() == Kind.FILE && cell != null) {
                    byte[] file = file(zip, cell);
                    bytes += file.length;
                    into.setBytes(at++, file);
                } else if (owner.isEmpty() && c.name().equals("id")) {
                    // Whatever the row says: the nursery is the one that the copy is of.
                    into.setString(at++, nursery.toString());
                } else {
                    Cells.read(into, at++, cell, c.kind());
                }
            } catch (DateTimeException | IllegalArgumentException e) {
                throw new CopyRefused("%s, line %d, %s: “%s” cannot be read; nothing was restored."
                        .formatted(table.name() + ".csv", row.getRecordNumber() + 1, c.name(), cut(cell)));
            }
        }
        return bytes;
    }

    private static String cut(String cell) {
        return cell == null ? "" : cell.substring(0, Math.min(40, cell.length()));
    }

    private static byte[] file(ZipFile zip, String name) throws IOException {
        ZipEntry entry = Optional.ofNullable(zip.getEntry(name))
                .orElseThrow(() -> new CopyRefused("The file %s is missing in this copy.".formatted(cut(name))));
        try (InputStream in = zip.getInputStream(entry)) {
            byte[] bytes = in.readNBytes((int) LARGEST_FILE + 1);
            if (bytes.length > LARGEST_FILE) {
                throw new CopyRefused("The file %s is too large.".formatted(cut(name)));
            }
            return bytes;
        }
    }
}
