package garden.vivarium.app.copies;

import garden.vivarium.app.copies.Tables.Kind;
import java.math.BigDecimal;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.UUID;

/**
 * Values as they stand in a copy. Text that a spreadsheet would take for a formula has an apostrophe before it, and so has text that
 * begins with one: so it is harmless there, and read back as it was.
 */
final class Cells {

    private static final String FORMULA = "=+-@\t\r'";
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH:mm:ss.SSSSSS'Z'");

    private Cells() {}

    /** The value of a row, in words; null for none. */
    static String written(ResultSet row, int at, Kind kind) throws SQLException {
        String text = switch (kind) {
            case TEXT -> harmless(row.getString(at));
            case ID -> row.getString(at);
            case WHOLE -> {
                long n = row.getLong(at);
                yield row.wasNull() ? null : Long.toString(n);
            }
            case DECIMAL -> {
                BigDecimal d = row.getBigDecimal(at);
                yield d == null ? null : d.toPlainString();
            }
            case DOUBLE -> {
                double d = row.getDouble(at);
                yield row.wasNull() ? null : Double.toString(d);
            }
            case DAY -> {
                LocalDate day = row.getObject(at, LocalDate.class);
                yield day == null ? null : day.toString();
            }
            case MOMENT -> {
                LocalDateTime moment = row.getObject(at, LocalDateTime.class);
                yield moment == null ? null : MOMENT.format(moment);
            }
            case FILE -> throw new IllegalArgumentException("files stand beside the table");
        };
        return text;
    }

    /** Puts a cell into a statement as what it was. */
    static void read(PreparedStatement into, int at, String cell, Kind kind) throws SQLException {
        if (cell == null) {
            into.setNull(at, Types.NULL);
            return;
        }
        switch (kind) {
            case TEXT -> into.setString(at, asItWas(cell));
            case ID -> into.setString(at, UUID.fromString(cell).toString());
            case WHOLE -> into.setLong(at, Long.parseLong(cell));
            case DECIMAL -> into.setBigDecimal(at, new BigDecimal(cell));
            case DOUBLE -> into.setDouble(at, Double.parseDouble(cell));
            case DAY -> into.setObject(at, LocalDate.parse(cell));
            case MOMENT -> into.setObject(at, LocalDateTime.parse(cell, MOMENT));
            case FILE -> throw new IllegalArgumentException("files stand beside the table");
        }
    }

    /** With an apostrophe before what a spreadsheet would reckon. */
    static String harmless(String text) {
        return text != null && !text.isEmpty() && FORMULA.indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    }

    /** Without it. */
    static String asItWas(String cell) {
        return cell.startsWith("'") ? cell.substring(1) : cell;
    }
}
