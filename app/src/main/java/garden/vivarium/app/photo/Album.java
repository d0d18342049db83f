package garden.vivarium.app.photo;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes down photographs that have been read already. */
@Service
class Album {

    /** Of one batch or stock plant; more than a year of days. */
    private static final int MOST = 400;

    private static final int LONGEST_NOTE = 200;

    private final PhotoRepository photos;
    private final PhotoFileRepository files;
    private final CurrentNursery nursery;
    private final Today today;
    private final int mostInAll;

    Album(
            PhotoRepository photos,
            PhotoFileRepository files,
            CurrentNursery nursery,
            Today today,
            @Value("${vivarium.photos.most:20000}") int mostInAll) {
        this.photos = photos;
        this.files = files;
        this.nursery = nursery;
        this.today = today;
        this.mostInAll = mostInAll;
    }

    /**
     * Of what a photograph is, when it was taken, and what is said of it.
     *
     * @param clientId by which the same one, sent twice, is known
     */
    record Entry(Photo.Kind kind, UUID subject, UUID clientId, LocalDate day, String note) {}

    /** One that was kept before under the same id. */
    @Transactional(readOnly = true)
    public Optional<PhotoView> kept(UUID clientId) {
        return photos.findByClientId(clientId).map(Photo::view);
    }

    /**
     * Refuses what cannot be kept, whatever it shows.
     *
     * @throws InvalidField if it is dated ahead, or very many are kept
     */
    @Transactional(readOnly = true)
    public void refuse(Entry entry) {
        refuseDay(entry.day());
        if (photos.countByKindAndSubject(entry.kind(), entry.subject()) >= MOST) {
            throw new InvalidField("file", Messages.text("Photo.many", "most", MOST));
        }
        if (photos.count() >= mostInAll) {
            throw new InvalidField("file", Messages.text("Photo.many.in.all", "most", mostInAll));
        }
    }

    /** Keeps one; the same id twice is one photograph. */
    @Transactional
    public PhotoView keep(Entry entry, Picture picture) {
        Optional<Photo> same = photos.findByClientId(entry.clientId());
        if (same.isPresent()) {
            return same.get().view();
        }
        refuse(entry);
        Photo photo = new Photo(entry.kind(), entry.subject(), entry.clientId(), entry.day(), said(entry.note()));
        photo.kept(
                picture.width(),
                picture.height(),
                nursery.person().map(SignedIn::name).orElse("Vivarium"),
                today.now());
        photos.save(photo);
        files.save(new PhotoFile(photo.getId(), picture));
        return photo.view();
    }

    /** Refuses a day that is none or lies ahead. */
    void refuseDay(LocalDate day) {
        if (day == null) {
            throw new InvalidField("takenOn", Messages.text("Photo.day"));
        }
        today.refuseFuture("takenOn", day);
    }

    /** A note as it is kept: without blanks round it, cut where it is too long, null where it says nothing. */
    static String said(String note) {
        return note == null || note.isBlank()
                ? null
                : note.strip().substring(0, Math.min(LONGEST_NOTE, note.strip().length()));
    }
}
