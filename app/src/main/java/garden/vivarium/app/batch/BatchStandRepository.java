package garden.vivarium.app.batch;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BatchStandRepository extends JpaRepository<BatchStand, UUID> {

    List<BatchStand> findByBatchIdOrderBySinceDescNotedAtDesc(UUID batchId);
}
