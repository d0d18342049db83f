package garden.vivarium.app.stock;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlantRepository extends JpaRepository<Plant, UUID> {

    Optional<Plant> findByName(String name);

    List<Plant> findAllByOrderByName();

    List<Plant> findByKindIsNull();
}
