package garden.vivarium.app.batch;

import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.springframework.stereotype.Component;

/** Reads the treatments that stand as words in the database; its name is the number of the migration. */
@Component
class V46__treatments_read extends BaseJavaMigration {

    @Override
    public void migrate(Context context) throws Exception {
        new TreatmentsRead().bringUp(context.getConnection(), null);
    }
}
