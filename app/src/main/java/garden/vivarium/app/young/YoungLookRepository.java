package garden.vivarium.app.young;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface YoungLookRepository extends JpaRepository<YoungLook, UUID> {

    List<YoungLook> findByPottingIdOrderBySeenOnAscNotedAtAsc(UUID potting);

    List<YoungLook> findByBatchIdInAndWithdrawnFalse(Collection<UUID> batches);

    @Query("select l from YoungLook l where l.withdrawn = false and l.pottingId in :pottings and l.seenOn >= :since"
            + " order by l.seenOn, l.notedAt")
    List<YoungLook> since(Collection<UUID> pottings, LocalDate since);
}
