package garden.vivarium.app.stock;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnNameRepository extends JpaRepository<OwnName, UUID> {

    Optional<OwnName> findByName(String name);
}
