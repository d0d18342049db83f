package garden.vivarium.app.stock;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlantWayRepository extends JpaRepository<PlantWay, UUID> {

    List<PlantWay> findByPlantIdOrderByMethod(UUID plant);

    Optional<PlantWay> findByPlantIdAndMethod(UUID plant, String method);
}
