package garden.vivarium.app.benchmap;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlacePlanRepository extends JpaRepository<PlacePlan, UUID> {

    Optional<PlacePlan> findByPlaceId(UUID place);
}
