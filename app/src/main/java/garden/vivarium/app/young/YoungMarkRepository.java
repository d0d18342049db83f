package garden.vivarium.app.young;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface YoungMarkRepository extends JpaRepository<YoungMark, UUID> {

    List<YoungMark> findByPottingIdOrderByReachedOn(UUID potting);
}
