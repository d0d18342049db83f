package garden.vivarium.app.batch;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PottingRepository extends JpaRepository<Potting, UUID> {

    List<Potting> findByBatchIdInOrderByMovedOn(Collection<UUID> batches);

    boolean existsByBatchIdAndSettledIsNull(UUID batch);
}
