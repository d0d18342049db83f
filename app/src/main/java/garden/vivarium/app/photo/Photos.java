package garden.vivarium.app.photo;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.stock.Stock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The photographs of the current nursery. */
@Service
public class Photos {

    private final PhotoRepository photos;
    private final PhotoFileRepository files;
    private final BatchBook batches;
    private final Stock stock;
    private final Album album;
    private final PictureDesk desk;

    Photos(
            PhotoRepository photos,
            PhotoFileRepository files,
            BatchBook batches,
            Stock stock,
            Album album,
            PictureDesk desk) {
        this.photos = photos;
        this.files = files;
        this.batches = batches;
        this.stock = stock;
        this.album = album;
        this.desk = desk;
    }

    /**
     * Keeps a photograph of a batch. The same client id twice is one photograph.
     *
     * @throws InvalidField if it is no photograph, too large, or dated ahead
     */
    public PhotoView ofBatch(String code, UUID clientId, LocalDate day, String note, byte[] file) {
        return ofBatch(code, clientId, day, note, PictureDesk.File.of(file));
    }

    PhotoView ofBatch(String code, UUID clientId, LocalDate day, String note, PictureDesk.File file) {
        return keep(
                new Album.Entry(Photo.Kind.BATCH, batches.entry(code).batch().id(), clientId, day, note), file);
    }

    /** The same of a stock plant. */
    public PhotoView ofStock(UUID id, UUID clientId, LocalDate day, String note, byte[] file) {
        return ofStock(id, clientId, day, note, PictureDesk.File.of(file));
    }

    PhotoView ofStock(UUID id, UUID clientId, LocalDate day, String note, PictureDesk.File file) {
        if (stock.find(id).isEmpty()) {
            throw new NotFound(Messages.text("Photos.no.stock.plant"));
        }
        return keep(new Album.Entry(Photo.Kind.STOCK, id, clientId, day, note), file);
    }

    /** Read before any transaction begins, so that whoever waits their turn holds nothing that others need. */
    private PhotoView keep(Album.Entry entry, PictureDesk.File file) {
        Optional<PhotoView> same = album.kept(entry.clientId());
        if (same.isPresent()) {
            return same.get();
        }
        album.refuse(entry);
        return album.keep(entry, desk.read(file));
    }

    /**
     * It was taken on another day, or shows something else.
     *
     * @throws InvalidField if the day cannot be
     */
    @Transactional
    public void correct(UUID id, LocalDate day, String note) {
        album.refuseDay(day);
        photos.findById(id)
                .orElseThrow(() -> new NotFound(Messages.text("Photos.no.such.photograph")))
                .correct(day, Album.said(note));
    }

    /** The page of what a photograph is of. */
    @Transactional(readOnly = true)
    public String page(UUID id) {
        return page(photos.findById(id).orElseThrow(() -> new NotFound(Messages.text("Photos.no.such.photograph"))));
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
        PhotoFile file =
                files.findByPhotoId(id).orElseThrow(() -> new NotFound(Messages.text("Photos.no.such.photograph")));
        return large ? file.large() : file.small();
    }

    /** Takes a photograph away for good, and answers the page of what it was of. */
    @Transactional
    public String remove(UUID id) {
        Photo photo = photos.findById(id).orElseThrow(() -> new NotFound(Messages.text("Photos.no.such.photograph")));
        files.findByPhotoId(id).ifPresent(files::delete);
        photos.delete(photo);
        return page(photo);
    }
}
