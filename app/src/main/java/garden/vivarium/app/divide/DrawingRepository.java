package garden.vivarium.app.divide;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DrawingRepository extends JpaRepository<Drawing, UUID> {

    List<Drawing> findByStockPlantIdAndWithdrawnFalseOrderByMadeAtDesc(UUID plant);

    List<Drawing> findByBatchId(UUID batch);
}
