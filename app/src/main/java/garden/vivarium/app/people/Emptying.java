package garden.vivarium.app.people;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;

/** All rows of a nursery go, whatever tables there are; they refer to each other in every direction. People stay. */
final class Emptying {

    private Emptying() {}

    static void of(JdbcClient database, UUID nursery) {
        List<String> tables = database.sql("select distinct table_name from information_schema.columns"
                        + " where table_schema = database() and column_name = 'nursery_id' and table_name <> 'person'")
                .query(String.class)
                .list();
        database.sql("set foreign_key_checks = 0").update();
        try {
            for (String table : tables) {
                database.sql("delete from `" + table + "` where nursery_id = ?")
                        .param(nursery.toString())
                        .update();
            }
            database.sql("delete from nursery where id = ?")
                    .param(nursery.toString())
                    .update();
        } finally {
            database.sql("set foreign_key_checks = 1").update();
        }
    }
}
