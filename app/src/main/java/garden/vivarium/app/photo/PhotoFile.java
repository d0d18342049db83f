package garden.vivarium.app.photo;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import java.util.UUID;

/** The picture of a photograph, in two sizes, as JPEG made here. */
@Entity
class PhotoFile extends NurseryRow {

    private UUID photoId;

    @Column(columnDefinition = "mediumblob")
    private byte[] large;

    @Column(columnDefinition = "mediumblob")
    private byte[] small;

    protected PhotoFile() {}

    PhotoFile(UUID photoId, Picture picture) {
        this.photoId = photoId;
        large = picture.large();
        small = picture.small();
    }

    byte[] large() {
        return large;
    }

    byte[] small() {
        return small;
    }

    UUID photoId() {
        return photoId;
    }
}
