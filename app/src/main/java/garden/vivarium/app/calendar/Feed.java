package garden.vivarium.app.calendar;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A private address of the calendar. */
@Entity
@Table(name = "calendar_feed")
class Feed extends NurseryRow {

    @Column(columnDefinition = "char(64)")
    private String tokenHash;

    private String name;
    private Instant madeAt;
    private String madeBy;
    private Instant withdrawnAt;

    protected Feed() {}

    Feed(String tokenHash, String name, String madeBy, Instant madeAt) {
        this.tokenHash = tokenHash;
        this.name = name;
        this.madeBy = madeBy;
        this.madeAt = madeAt;
    }

    void withdraw(Instant now) {
        if (withdrawnAt == null) {
            withdrawnAt = now;
        }
    }

    FeedView view() {
        return new FeedView(getId(), name, madeBy, madeAt, withdrawnAt != null);
    }

    /** An address as the page lists it; the address itself is not kept. */
    record FeedView(UUID id, String name, String madeBy, Instant madeAt, boolean withdrawn) {}
}
