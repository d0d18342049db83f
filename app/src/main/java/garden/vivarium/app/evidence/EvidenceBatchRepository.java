package garden.vivarium.app.evidence;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface EvidenceBatchRepository extends JpaRepository<EvidenceBatch, UUID> {

    Optional<EvidenceBatch> findByBatchId(UUID batch);
}
