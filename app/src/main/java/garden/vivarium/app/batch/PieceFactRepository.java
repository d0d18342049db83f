package garden.vivarium.app.batch;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PieceFactRepository extends JpaRepository<PieceFact, UUID> {

    Optional<PieceFact> findByBatchIdAndPiece(UUID batchId, int piece);

    List<PieceFact> findByBatchIdAndKindNotNullOrderByPiece(UUID batchId);
}
