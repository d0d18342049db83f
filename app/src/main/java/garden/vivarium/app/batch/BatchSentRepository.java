package garden.vivarium.app.batch;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BatchSentRepository extends JpaRepository<BatchSent, UUID> {

    List<BatchSent> findByBatchIdOrderBySentOnDescNotedAtDesc(UUID batchId);

    boolean existsByCheckId(UUID checkId);
}
