package garden.vivarium.app.promise;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.app.platform.Seen;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** Plants owed. Without a day due, the name waits in line for what is over. */
@Entity
class Promise extends NurseryRow {

    private UUID plantId;
    private String plantName;
    private String who;
    private int plants;
    private LocalDate due;
    private double confidence;
    private int placeInLine;
    private int given;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private PromiseState state;

    private Instant madeAt;
    private LocalDate closedOn;

    @Version
    private long version;

    protected Promise() {}

    Promise(
            UUID plantId,
            String plantName,
            String who,
            int plants,
            LocalDate due,
            double confidence,
            int placeInLine,
            Instant madeAt) {
        this.plantId = plantId;
        this.plantName = plantName;
        this.who = who;
        this.plants = plants;
        this.due = due;
        this.confidence = confidence;
        this.placeInLine = placeInLine;
        this.state = PromiseState.OPEN;
        this.madeAt = madeAt;
    }

    void gave(int more, LocalDate day) {
        given += more;
        if (given >= plants) {
            state = PromiseState.KEPT;
            closedOn = day;
        }
    }

    void drop(LocalDate day) {
        state = PromiseState.DROPPED;
        closedOn = day;
    }

    void standAt(int place) {
        placeInLine = place;
    }

    PromiseView view() {
        return new PromiseView(
                getId(),
                plantId,
                plantName,
                who,
                new PromiseView.Wanted(plants, due, confidence),
                placeInLine,
                new PromiseView.Standing(given, state, closedOn),
                Seen.mark(mark(), version));
    }

    /** Its name in the marks of forms. */
    String mark() {
        return "promise " + getId();
    }

    long version() {
        return version;
    }
}
