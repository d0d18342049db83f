package garden.vivarium.app.benchmap;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VesselSpotRepository extends JpaRepository<VesselSpot, UUID> {

    Optional<VesselSpot> findByBatchId(UUID batch);
}
