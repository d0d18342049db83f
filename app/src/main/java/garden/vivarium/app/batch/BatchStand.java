package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.app.stock.PlaceView;
import jakarta.persistence.Entity;
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

    protected BatchStand() {}

    BatchStand(UUID batchId, PlaceView place, Integer pieces, String cells, LocalDate since, String personName) {
        this.batchId = batchId;
        this.placeId = place.id();
        this.placeName = place.name();
        this.pieces = pieces;
        this.cells = cells;
        this.since = since;
        this.personName = personName;
    }

    boolean isPart() {
        return pieces != null && until == null;
    }

    void ends(LocalDate day) {
        until = day;
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
