package garden.vivarium.app.batch;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface BatchRepository extends JpaRepository<Batch, UUID> {

    Optional<Batch> findByCode(String code);

    Optional<Batch> findByOldCode(String oldCode);

    List<Batch> findByOldCodeIn(Collection<String> oldCodes);

    @Query("select coalesce(max(b.codeNumber), 0) from Batch b where b.codeYear = :year and b.codeWeek = :week")
    int lastNumber(int year, int week);

    @Query("select b from Batch b where b.closedOn is null order by b.takenOn, b.code")
    List<Batch> open();

    @Query("select b from Batch b where b.closedOn is not null order by b.closedOn desc, b.code limit :most")
    List<Batch> lastClosed(int most);

    @Query("select count(b) from Batch b where b.closedOn is not null")
    long countClosed();

    /** What evidence needs of each batch, without its longer texts. */
    @Query(
            "select b.id as id, b.changes as changes, b.plantName as plant, b.plantGroup as plantGroup, b.method as method,"
                    + " b.medium as medium, b.treatment as treatment, b.stuck as stuck, b.sent as sent, b.stuckOn as stuckOn"
                    + " from Batch b where b.stuckOn is not null")
    List<EvidenceRow> forEvidence();

    interface EvidenceRow {
        UUID getId();

        int getChanges();

        String getPlant();

        String getPlantGroup();

        String getMethod();

        String getMedium();

        String getTreatment();

        int getStuck();

        int getSent();

        LocalDate getStuckOn();
    }
}
