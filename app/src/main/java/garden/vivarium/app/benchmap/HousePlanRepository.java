package garden.vivarium.app.benchmap;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HousePlanRepository extends JpaRepository<HousePlan, UUID> {

    Optional<HousePlan> findByName(String name);
}
