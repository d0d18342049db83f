package garden.vivarium.app.round;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReminderRepository extends JpaRepository<Reminder, UUID> {

    List<Reminder> findByDoneOnIsNull();
}
