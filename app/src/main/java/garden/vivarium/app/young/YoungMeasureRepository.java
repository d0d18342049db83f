package garden.vivarium.app.young;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface YoungMeasureRepository extends JpaRepository<YoungMeasure, UUID> {

    List<YoungMeasure> findByPottingIdOrderByMeasuredOn(UUID potting);

    List<YoungMeasure> findByPottingIdInAndHeightMmNotNullOrderByMeasuredOn(Collection<UUID> moves);
}
