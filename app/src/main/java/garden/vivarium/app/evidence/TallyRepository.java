package garden.vivarium.app.evidence;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface TallyRepository extends JpaRepository<TallyRow, UUID> {

    List<TallyRow> findByBatchId(UUID batch);

    List<TallyRow> findByBatchIdIn(Collection<UUID> batches);

    @Modifying
    @Query("delete from TallyRow t where t.batchId = :batch")
    void forget(UUID batch);
}
