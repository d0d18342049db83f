package garden.vivarium.app.photo;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The photographs of the current nursery. */
@Service
public class Photos {

    /** Of one batch or stock plant; more than a year of days. */
    private static final int MOST = 400;

    private static final int LONGEST_NOTE = 200;
    private final int mostInAll;

    private final PhotoRepository photos;
    private final PhotoFileRepository files;
    private final BatchBook batches;
    private final Stock stock;
    private final CurrentNursery nursery;
    private final Today today;

    Photos(
            PhotoRepository photos,
            PhotoFileRepository files,
            BatchBook batches,
            Stock stock,
            CurrentNursery nursery,
            Today today,
            @Value("${vivarium.photos.most:20000}") int mostInAll) {
        this.photos = photos;
        this.files = files;
        this.batches = batches;
        this.stock = stock;
        this.nursery = nursery;
        this.today = today;
        this.mostInAll = mostInAll;
    }

    /**
     * Keeps a photograph of a batch. The same client id twice is one photograph.
     *
     * @throws InvalidField if it is no photograph, too large, or dated ahead
     */
    @Transactional
    public PhotoView ofBatch(String code, UUID clientId, LocalDate day, String note, byte[] file) {
        return keep(Photo.Kind.BATCH, batches.entry(code).batch().id(), clientId, day, note, file);
    }

    /** The same of a stock plant. */
    @Transactional
    public PhotoView ofStock(UUID id, UUID clientId, LocalDate day, String note, byte[] file) {
        if (stock.find(id).isEmpty()) {
            throw new NotFound("no stock plant");
        }
        return keep(Photo.Kind.STOCK, id, clientId, day, note, file);
    }

    private PhotoView keep(Photo.Kind kind, UUID subject, UUID clientId, LocalDate day, String note, byte[] file) {
        Optional<Photo> same = photos.findByClientId(clientId);
        if (same.isPresent()) {
            return same.get().view();
        }
        refuseDay(day);
        if (photos.countByKindAndSubject(kind, subject) >= MOST) {
            throw new InvalidField("file", Messages.text("Photo.many", "most", MOST));
        }
        if (photos.count() >= mostInAll) {
            throw new InvalidField("file", Messages.text("Photo.many.in.all", "most", mostInAll));
        }
        Picture picture = PictureReader.read(file);
        Photo photo = new Photo(kind, subject, clientId, day, said(note));
        photo.kept(
                picture.width(),
                picture.height(),
                nursery.person().map(SignedIn::name).orElse("Vivarium"),
                today.now());
        photos.save(photo);
        files.save(new PhotoFile(photo.getId(), picture));
        return photo.view();
    }

    private void refuseDay(LocalDate day) {
        if (day == null) {
            throw new InvalidField("takenOn", Messages.text("Photo.day"));
        }
        today.refuseFuture("takenOn", day);
    }

    private static String said(String note) {
        return note == null || note.isBlank()
                ? null
                : note.strip().substring(0, Math.min(LONGEST_NOTE, note.strip().length()));
    }

    /**
     * It was taken on another day, or shows something else.
     *
     * @throws InvalidField if the day cannot be
     */
    @Transactional
    public void correct(UUID id, LocalDate day, String note) {
        refuseDay(day);
        photos.findById(id)
                .orElseThrow(() -> new NotFound("no such photograph"))
                .correct(day, said(note));
    }

    /** The page of what a photograph is of. */
    @Transactional(readOnly = true)
    public String page(UUID id) {
        return page(photos.findById(id).orElseThrow(() -> new NotFound("no such photograph")));
    }

    private String page(Photo photo) {
        return photo.kind() == Photo.Kind.STOCK
                ? "/stock/" + photo.subject()
                : "/batches/" + batches.code(photo.subject()).orElseThrow();
    }

    /** The photographs of a batch, the first first. */
    @Transactional(readOnly = true)
    public List<PhotoView> ofBatch(UUID batch) {
        return of(Photo.Kind.BATCH, batch);
    }

    /** The photographs of a stock plant, the first first. */
    @Transactional(readOnly = true)
    public List<PhotoView> ofStock(UUID plant) {
        return of(Photo.Kind.STOCK, plant);
    }

    private List<PhotoView> of(Photo.Kind kind, UUID subject) {
        return photos.findByKindAndSubjectOrderByTakenOnAscMadeAtAsc(kind, subject).stream()
                .map(Photo::view)
                .toList();
    }

    /** The picture of a photograph, as JPEG. */
    @Transactional(readOnly = true)
    public byte[] picture(UUID id, boolean large) {
        PhotoFile file = files.findByPhotoId(id).orElseThrow(() -> new NotFound("no such photograph"));
        return large ? file.large() : file.small();
    }

    /** Takes a photograph away for good, and answers the page of what it was of. */
    @Transactional
    public String remove(UUID id) {
        Photo photo = photos.findById(id).orElseThrow(() -> new NotFound("no such photograph"));
        files.findByPhotoId(id).ifPresent(files::delete);
        photos.delete(photo);
        return page(photo);
    }
}
