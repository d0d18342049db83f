package garden.vivarium.app.platform;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CorrectionRepository extends JpaRepository<Correction, UUID> {

    List<Correction> findBySubjectIdOrderByMadeAtDesc(UUID subject);
}
