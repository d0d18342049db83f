package garden.vivarium.app.stock;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface StockPlantRepository extends JpaRepository<StockPlant, UUID> {

    @Query("select distinct s from StockPlant s join fetch s.plant p join fetch s.place left join fetch s.counts"
            + " order by p.name, s.code")
    List<StockPlant> allWithPlants();

    @Query("select s from StockPlant s join fetch s.plant join fetch s.place left join fetch s.counts where s.id = :id")
    Optional<StockPlant> withPlant(UUID id);

    @Query("select s.code from StockPlant s where s.code like :like")
    List<String> codes(String like);

    Optional<StockPlant> findByCode(String code);

    List<StockPlant> findByPlantId(UUID plant);
}
