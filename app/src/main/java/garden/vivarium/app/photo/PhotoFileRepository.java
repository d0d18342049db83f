package garden.vivarium.app.photo;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PhotoFileRepository extends JpaRepository<PhotoFile, UUID> {

    Optional<PhotoFile> findByPhotoId(UUID photo);
}
