package garden.vivarium.app.stock;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HarvestRepository extends JpaRepository<Harvest, UUID> {

    List<Harvest> findByStockPlantIdAndSortAndCutOn(UUID stockPlantId, String sort, LocalDate cutOn);

    List<Harvest> findByStockPlantIdAndBatchId(UUID stockPlantId, UUID batchId);

    List<Harvest> findByStockPlantIdOrderByCutOnDesc(UUID stockPlantId);
}
