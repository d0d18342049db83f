package garden.vivarium.app.stock;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlaceRepository extends JpaRepository<Place, UUID> {

    List<Place> findAllByOrderByWalkOrderAscNameAsc();

    Optional<Place> findByName(String name);
}
