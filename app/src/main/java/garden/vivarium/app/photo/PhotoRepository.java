package garden.vivarium.app.photo;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PhotoRepository extends JpaRepository<Photo, UUID> {

    List<Photo> findByKindAndSubjectOrderByTakenOnAscMadeAtAsc(Photo.Kind kind, UUID subject);

    long countByKindAndSubject(Photo.Kind kind, UUID subject);

    Optional<Photo> findByClientId(UUID clientId);
}
