package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.app.stock.PlaceView;
import jakarta.persistence.Entity;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** Where a batch, or some of its pieces, stood from when to when. */
@Entity
class BatchStand extends NurseryRow {

    private UUID batchId;
    private UUID placeId;
    private String placeName;
    private Integer pieces;
    private String cells;
    private LocalDate since;
    private LocalDate until;
    private String personName;
    private Instant notedAt;
    private UUID fromPlaceId;
    private UUID endedBy;

    protected BatchStand() {}

    BatchStand(
            Batch batch,
            PlaceView place,
            Integer pieces,
            String cells,
            LocalDate since,
            String personName,
            Instant now) {
        this.batchId = batch.getId();
        this.fromPlaceId = batch.placeId();
        this.placeId = place.id();
        this.placeName = place.name();
        this.pieces = pieces;
        this.cells = cells;
        this.since = since;
        this.personName = personName;
        this.notedAt = now;
    }

    boolean isPart() {
        return pieces != null && until == null;
    }

    /** All of the batch went on, or a part went back to the rest; {@code by} is what ended it, null for going back. */
    void ends(LocalDate day, UUID by) {
        until = day;
        endedBy = by;
    }

    /** What had ended it was taken back: it went on for as long as that. */
    void endsLike(BatchStand other) {
        until = other.until;
        endedBy = other.endedBy;
    }

    boolean wasEndedBy(UUID other) {
        return other.equals(endedBy);
    }

    boolean isWhole() {
        return pieces == null;
    }

    /** Where the batch stood before; null where nobody wrote it down. */
    UUID fromPlaceId() {
        return fromPlaceId;
    }

    /** What went before was taken back. */
    void cameFrom(UUID place) {
        fromPlaceId = place;
    }

    void correct(LocalDate day, PlaceView place, Integer howMany, String which) {
        since = day;
        placeId = place.id();
        placeName = place.name();
        pieces = howMany;
        cells = which;
    }

    UUID placeId() {
        return placeId;
    }

    int pieces() {
        return pieces == null ? 0 : pieces;
    }

    StandView view() {
        return new StandView(getId(), placeName, pieces, cells, since, until, personName);
    }
}
