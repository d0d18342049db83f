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

    /** Those that were told of since the nursery's stamp was that. */
    @Query(
            value = "select e.batch_id from evidence_batch e where e.nursery_id = :nursery and e.as_of > :since",
            nativeQuery = true)
    List<UUID> toldSince(UUID nursery, long since);

    /** Of every batch as what share of itself it counts. */
    @Query("select e.batchId, e.countsAs from EvidenceBatch e")
    List<Object[]> counting();

    List<EvidenceBatch> findByBatchIdIn(Collection<UUID> batches);
}
