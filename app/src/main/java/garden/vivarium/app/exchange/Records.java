package garden.vivarium.app.exchange;

import garden.vivarium.app.batch.LookRefused;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A nursery's own past, from files: looked through first, then kept whole or not at all. */
@Service
public class Records {

    private static final Duration KEEP_UPLOADS = Duration.ofHours(12);

    private final UploadRepository uploads;
    private final List<RecordKind> kinds;
    private final Today today;

    Records(UploadRepository uploads, List<RecordKind> kinds, Today today) {
        this.uploads = uploads;
        this.kinds = kinds;
        this.today = today;
    }

    /**
     * Reads a file through and says what it would do; a good one waits to be kept.
     *
     * @param kind history or pieces
     */
    @Transactional
    public Preview preview(String kind, String fileName, String text) {
        Preview preview = kind(kind).preview(fileName, text);
        if (!preview.isGood() || !preview.isNew()) {
            return preview;
        }
        uploads.forgetOlderThan(today.now().minus(KEEP_UPLOADS));
        Upload upload = uploads.save(new Upload(kind, fileName, text, today.now()));
        return preview.waitingAs(upload.getId());
    }

    /**
     * Keeps a file that was looked through: all of it, or nothing.
     *
     * @return how many looks were kept
     * @throws NotFound if the file is no longer waiting, or the nursery has changed so that it no longer fits
     */
    @Transactional
    public int keep(UUID uploadId) {
        Upload upload = uploads.findById(uploadId).orElseThrow(() -> new NotFound("that file is no longer waiting"));
        try {
            int kept = kind(upload.kind()).keep(upload.content());
            uploads.deleteById(uploadId);
            return kept;
        } catch (LookRefused changedSince) {
            throw new NotFound("the nursery has changed since the file was looked through");
        }
    }

    private RecordKind kind(String name) {
        return kinds.stream()
                .filter(k -> k.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new NotFound("no such kind of file"));
    }
}
