package garden.vivarium.app.evidence;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface EvidenceBatchRepository extends JpaRepository<EvidenceBatch, UUID> {

    Optional<EvidenceBatch> findByBatchId(UUID batch);

    /** Of every batch how often something was told of it: a large nursery has many, of which few changed since. */
    @Query("select e.batchId, e.changes from EvidenceBatch e")
    List<Object[]> changes();

    List<EvidenceBatch> findByBatchIdIn(Collection<UUID> batches);
}
