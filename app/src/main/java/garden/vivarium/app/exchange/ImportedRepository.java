package garden.vivarium.app.exchange;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ImportedRepository extends JpaRepository<Imported, UUID> {

    List<Imported> findByImportId(UUID importId);

    boolean existsByImportId(UUID importId);
}
