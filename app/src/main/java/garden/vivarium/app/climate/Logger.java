package garden.vivarium.app.climate;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.UUID;

/** An instrument that sends readings of a place. */
@Entity
class Logger extends NurseryRow {

    private UUID placeId;
    private String name;

    @Column(columnDefinition = "char(64)")
    private String tokenHash;

    private Instant lastSeen;
    private Instant withdrawnAt;
    private Instant madeAt;
    private String madeBy;

    protected Logger() {}

    Logger(UUID placeId, String name, String tokenHash) {
        this.placeId = placeId;
        this.name = name;
        this.tokenHash = tokenHash;
    }

    void by(String person, Instant at) {
        madeBy = person;
        madeAt = at;
    }

    void withdraw(Instant at) {
        withdrawnAt = at;
    }

    UUID placeId() {
        return placeId;
    }

    String name() {
        return name;
    }

    Instant lastSeen() {
        return lastSeen;
    }

    boolean isWithdrawn() {
        return withdrawnAt != null;
    }
}
