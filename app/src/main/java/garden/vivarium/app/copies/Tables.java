package garden.vivarium.app.copies;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The tables that hold what is a nursery's, as the database itself describes them: so that what a migration adds is copied too. What
 * opens something is left out, and so is who signs in: people are invited anew.
 */
@Component
class Tables {

    /** Column by which a row belongs to a nursery. It is said once for the whole file. */
    static final String OWNER = "nursery_id";

    private static final Set<String> LEFT_OUT = Set.of(
            "person", "membership", "invitation", "calendar_feed", "logger", "sent_form", "nightly_work", "door_entry");

    private final JdbcClient database;

    Tables(JdbcClient database) {
        this.database = database;
    }

    /**
     * A table.
     *
     * @param columns in their order, without that of the owner
     * @param key columns that tell a row from others
     * @param links to rows of other tables
     */
    record Table(String name, List<Column> columns, List<String> key, List<Link> links) {}

    /** A column and its type, as the database names that. */
    record Column(String name, Kind kind) {}

    /** A column that names a row of another table. */
    record Link(String column, String table, String named) {}

    /** How a value is written down. */
    enum Kind {
        TEXT,
        ID,
        WHOLE,
        DECIMAL,
        DOUBLE,
        DAY,
        MOMENT,
        FILE;

        static Kind of(String type) {
            return switch (type) {
                case "uuid" -> ID;
                case "tinyint", "smallint", "mediumint", "int", "bigint" -> WHOLE;
                case "decimal" -> DECIMAL;
                case "double" -> DOUBLE;
                case "date" -> DAY;
                case "datetime", "timestamp" -> MOMENT;
                case "tinyblob", "blob", "mediumblob", "longblob" -> FILE;
                case "char", "varchar", "tinytext", "text", "mediumtext", "longtext" -> TEXT;
                // A new type must be given a way of being written, or a copy would be wrong.
                default -> throw new IllegalStateException("no copy knows how to write a column of type " + type);
            };
        }
    }

    /** All of them by name, in the order of the alphabet. */
    Map<String, Table> all() {
        Map<String, List<Column>> columns = new LinkedHashMap<>();
        database
                .sql("select c.table_name, c.column_name, c.data_type from information_schema.columns c"
                        + " join information_schema.columns o on o.table_schema = c.table_schema"
                        + " and o.table_name = c.table_name and o.column_name = '" + OWNER + "'"
                        + " where c.table_schema = database() order by c.table_name, c.ordinal_position")
                .query((row, i) -> new String[] {row.getString(1), row.getString(2), row.getString(3)})
                .list()
                .stream()
                .filter(c -> !LEFT_OUT.contains(c[0]) && !c[1].equals(OWNER))
                .forEach(c ->
                        columns.computeIfAbsent(c[0], t -> new ArrayList<>()).add(new Column(c[1], Kind.of(c[2]))));
        Map<String, List<String>> keys = new LinkedHashMap<>();
        Map<String, List<Link>> links = new LinkedHashMap<>();
        database.sql("select table_name, constraint_name, column_name, referenced_table_name, referenced_column_name"
                        + " from information_schema.key_column_usage where table_schema = database()"
                        + " order by table_name, constraint_name, ordinal_position")
                .query((row, i) -> new String[] {
                    row.getString(1), row.getString(2), row.getString(3), row.getString(4), row.getString(5)
                })
                .list()
                .forEach(k -> {
                    if (k[1].equals("PRIMARY")) {
                        keys.computeIfAbsent(k[0], t -> new ArrayList<>()).add(k[2]);
                    } else if (k[3] != null && !k[2].equals(OWNER)) {
                        links.computeIfAbsent(k[0], t -> new ArrayList<>()).add(new Link(k[2], k[3], k[4]));
                    }
                });
        Map<String, Table> all = new LinkedHashMap<>();
        columns.forEach((name, of) ->
                all.put(name, new Table(name, List.copyOf(of), keys.get(name), links.getOrDefault(name, List.of()))));
        return all;
    }

    /** The columns of the nursery's own row. */
    List<Column> nursery() {
        return database.sql("select column_name, data_type from information_schema.columns"
                        + " where table_schema = database() and table_name = 'nursery' order by ordinal_position")
                .query((row, i) -> new Column(row.getString(1), Kind.of(row.getString(2))))
                .list();
    }

    /** The number of the last migration: as of which the tables are. */
    int asOf() {
        return database.sql("select max(cast(version as unsigned)) from flyway_schema_history where success")
                .query(Integer.class)
                .single();
    }
}
