package garden.vivarium.app.exchange;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface RecordImportRepository extends JpaRepository<RecordImport, UUID> {

    /** How far the work is; nobody else's change of the file is touched. */
    @Modifying
    @Query("update RecordImport i set i.percent = :percent, i.changedAt = :now where i.id = :id")
    void progress(UUID id, int percent, Instant now);

    /** Those that wait for an answer or were left lying, the latest first. */
    @Query("select i.id from RecordImport i where i.state in (ASKING, REFUSED) order by i.madeAt desc")
    List<UUID> waiting();

    /** Files without their lines, the last first. */
    @Query("select i.id as id, i.name as name, i.kind as kind, i.state as state, i.kept as kept, i.madeAt as madeAt,"
            + " i.personName as personName from RecordImport i order by i.madeAt desc limit :most")
    List<ImportRow> last(int most);

    interface ImportRow {
        UUID getId();

        String getName();

        String getKind();

        ImportState getState();

        int getKept();

        Instant getMadeAt();

        String getPersonName();
    }

    @Modifying
    @Query("delete from RecordImport i where i.madeAt < :before and i.state in (READING, ASKING, REFUSED)")
    void forgetOlderThan(Instant before);
}
