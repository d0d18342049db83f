package garden.vivarium.app.stock;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HarvestRepository extends JpaRepository<Harvest, UUID> {

    List<Harvest> findByStockPlantIdOrderByCutOnDesc(UUID stockPlantId);
}
