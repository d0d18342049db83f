package garden.vivarium.app.people;

import garden.vivarium.app.platform.Role;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** Somebody works in a nursery, and may do so much there. Asked before it is known which nursery it is, and so no nursery's row. */
@Entity
class Membership {

    @Id
    private UUID id;

    private UUID nurseryId;
    private UUID personId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(10)")
    private Role role;

    private Instant leftAt;

    protected Membership() {}

    Membership(UUID nurseryId, UUID personId, Role role) {
        this.id = UUID.randomUUID();
        this.nurseryId = nurseryId;
        this.personId = personId;
        this.role = role;
    }

    UUID nurseryId() {
        return nurseryId;
    }

    UUID personId() {
        return personId;
    }

    Role role() {
        return role;
    }

    boolean isHere() {
        return leftAt == null;
    }

    void may(Role now) {
        role = now;
        leftAt = null;
    }

    void leave(Instant when) {
        leftAt = when;
    }
}
