package garden.vivarium.app.round;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PutOffRepository extends JpaRepository<PutOff, UUID> {

    Optional<PutOff> findByItem(String item);

    List<PutOff> findByUntilAfter(LocalDate day);
}
