package garden.vivarium.app.evidence;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface NeighbourWayRepository extends JpaRepository<NeighbourWay, UUID> {

    List<NeighbourWay> findAllByOrderByReadAtAscMethodAscMediumAscKindAscIdAsc();

    List<NeighbourWay> findByFileId(UUID file);
}
