package garden.vivarium.app.exchange;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LearnedWordRepository extends JpaRepository<LearnedWord, UUID> {}
