package garden.vivarium.app.batch;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CheckRepository extends JpaRepository<Check, UUID> {

    @Query("select c from Check c where c.batchId = :batch order by c.lookedOn, c.entry")
    List<Check> ofBatch(UUID batch);

    @Query("select c from Check c where c.batchId in :batches order by c.lookedOn, c.entry")
    List<Check> ofBatches(Collection<UUID> batches);

    int countByBatchId(UUID batch);

    Optional<Check> findByClientId(UUID clientId);
}
