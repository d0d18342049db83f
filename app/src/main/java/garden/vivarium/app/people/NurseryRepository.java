package garden.vivarium.app.people;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface NurseryRepository extends JpaRepository<Nursery, UUID> {}
