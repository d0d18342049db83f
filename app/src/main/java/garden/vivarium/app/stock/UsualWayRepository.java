package garden.vivarium.app.stock;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface UsualWayRepository extends JpaRepository<UsualWay, UUID> {

    Optional<UsualWay> findByPlantAndFactor(String plant, String factor);

    List<UsualWay> findByPlant(String plant);

    List<UsualWay> findAllByOrderByPlantAscFactorAsc();
}
