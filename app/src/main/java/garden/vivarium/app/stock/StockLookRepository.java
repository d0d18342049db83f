package garden.vivarium.app.stock;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface StockLookRepository extends JpaRepository<StockLook, UUID> {

    /** The day of the last look at each stock plant. */
    @Query(
            "select l.stockPlantId as stockPlantId, max(l.lookedOn) as lookedOn from StockLook l group by l.stockPlantId")
    List<Last> last();

    interface Last {
        UUID getStockPlantId();

        LocalDate getLookedOn();
    }

    List<StockLook> findByStockPlantIdOrderByLookedOnDesc(UUID stockPlantId);
}
