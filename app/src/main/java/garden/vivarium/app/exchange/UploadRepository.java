package garden.vivarium.app.exchange;

import java.time.Instant;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface UploadRepository extends JpaRepository<Upload, UUID> {

    @Modifying
    @Query("delete from Upload u where u.madeAt < :before")
    void forgetOlderThan(Instant before);
}
