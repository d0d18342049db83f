package garden.vivarium.app.calendar;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FeedRepository extends JpaRepository<Feed, UUID> {

    List<Feed> findAllByOrderByMadeAtDesc();
}
