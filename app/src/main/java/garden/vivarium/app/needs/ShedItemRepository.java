package garden.vivarium.app.needs;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ShedItemRepository extends JpaRepository<ShedItem, UUID> {

    Optional<ShedItem> findByName(String name);
}
