package garden.vivarium.app.guide;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ProtocolVersionRepository extends JpaRepository<ProtocolVersion, UUID> {

    Optional<ProtocolVersion> findByProtocolKeyAndVersion(String key, int version);

    List<ProtocolVersion> findByProtocolKeyOrderByVersionDesc(String key);

    /** The newest version of each protocol of the nursery's own. */
    @Query("select v from ProtocolVersion v where v.own = true and v.version ="
            + " (select max(w.version) from ProtocolVersion w where w.protocolKey = v.protocolKey) order by v.title")
    List<ProtocolVersion> newestOwn();
}
