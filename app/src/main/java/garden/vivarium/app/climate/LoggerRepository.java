package garden.vivarium.app.climate;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LoggerRepository extends JpaRepository<Logger, UUID> {

    List<Logger> findAllByOrderByNameAsc();
}
