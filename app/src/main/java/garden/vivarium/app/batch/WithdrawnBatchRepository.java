package garden.vivarium.app.batch;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface WithdrawnBatchRepository extends JpaRepository<WithdrawnBatch, UUID> {

    Optional<WithdrawnBatch> findByCode(String code);

    List<WithdrawnBatch> findAllByOrderByWithdrawnAtDesc();

    @Query(
            "select coalesce(max(b.codeNumber), 0) from WithdrawnBatch b where b.codeYear = :year and b.codeWeek = :week")
    int lastNumber(int year, int week);

    /** Withdrawn batches of a plant are of what it is called now, too. */
    @Modifying(clearAutomatically = true)
    @Query("update WithdrawnBatch b set b.plantId = :now, b.plantName = :name where b.plantId = :before")
    void follow(UUID before, UUID now, String name);
}
