package garden.vivarium.app.plan;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlanRepository extends JpaRepository<Plan, UUID> {

    List<Plan> findByStateOrderByStartOn(PlanState state);
}
