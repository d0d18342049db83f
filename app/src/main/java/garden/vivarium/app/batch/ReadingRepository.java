package garden.vivarium.app.batch;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReadingRepository extends JpaRepository<PieceReading, UUID> {

    List<PieceReading> findByCheckIdIn(Collection<UUID> checks);
}
