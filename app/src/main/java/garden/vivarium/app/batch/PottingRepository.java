package garden.vivarium.app.batch;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PottingRepository extends JpaRepository<Potting, UUID> {

    List<Potting> findByBatchIdInOrderByMovedOn(Collection<UUID> batches);

    /** Young plants of which it was asked whether they settled, and those that did, by batch. */
    @Query("select p.batchId as batchId, sum(p.settled) as settled, sum(p.youngPlants) as asked from Potting p"
            + " where p.settled is not null and p.youngPlants > 0 group by p.batchId")
    List<SettledRow> settled();

    /** The same of some batches alone. */
    @Query("select p.batchId as batchId, sum(p.settled) as settled, sum(p.youngPlants) as asked from Potting p"
            + " where p.settled is not null and p.youngPlants > 0 and p.batchId in :batches group by p.batchId")
    List<SettledRow> settled(Collection<UUID> batches);

    interface SettledRow {
        UUID getBatchId();

        int getSettled();

        int getAsked();
    }

    boolean existsByBatchIdAndSettledIsNull(UUID batch);
}
