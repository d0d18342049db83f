package garden.vivarium.app.technique;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrialTrayRepository extends JpaRepository<TrialTray, UUID> {

    List<TrialTray> findByTrialIdOrderByTray(UUID trial);

    List<TrialTray> findByTrialIdIn(Collection<UUID> trials);
}
