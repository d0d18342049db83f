package garden.vivarium.app.technique;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrialRepository extends JpaRepository<Trial, UUID> {

    List<Trial> findAllByOrderByMadeAtDesc();
}
