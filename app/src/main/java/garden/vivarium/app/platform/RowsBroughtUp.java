package garden.vivarium.app.platform;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.UUID;

/** Brings rows that an earlier version wrote to what this one writes, where a copy brings them back. */
public interface RowsBroughtUp {

    /** Those of a nursery, within the transaction of a connection. Rows of this version stay as they are. */
    void bringUp(Connection database, UUID nursery) throws SQLException;
}
