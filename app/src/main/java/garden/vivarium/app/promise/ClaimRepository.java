package garden.vivarium.app.promise;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ClaimRepository extends JpaRepository<Claim, UUID> {

    List<Claim> findByPromiseId(UUID promise);

    List<Claim> findByPlanId(UUID plan);
}
