package garden.vivarium.app.batch;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BatchStageRepository extends JpaRepository<BatchStage, UUID> {

    List<BatchStage> findByBatchIdInOrderBySaidOnAscMadeAtAsc(Collection<UUID> batchIds);
}
