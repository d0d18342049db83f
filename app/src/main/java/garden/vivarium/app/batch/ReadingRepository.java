package garden.vivarium.app.batch;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ReadingRepository extends JpaRepository<PieceReading, UUID> {

    @Query("select r from PieceReading r where r.checkId in (select c.id from Check c where c.batchId = :batch)")
    List<PieceReading> ofBatch(UUID batch);

    @Query("select r from PieceReading r where r.checkId in (select c.id from Check c where c.batchId in :batches)")
    List<PieceReading> ofBatches(Collection<UUID> batches);
}
