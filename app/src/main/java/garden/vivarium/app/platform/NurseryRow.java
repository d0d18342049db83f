package garden.vivarium.app.platform;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Transient;
import java.util.Objects;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.springframework.data.domain.Persistable;

/** A row that belongs to one nursery. Hibernate sets and checks the nursery; no code of ours does. */
@MappedSuperclass
public abstract class NurseryRow implements Persistable<UUID> {

    @Id
    private UUID id = UUID.randomUUID();

    @TenantId
    @Column(name = "nursery_id", nullable = false, updatable = false)
    private UUID nurseryId;

    // Ids are made here, not by the database, so "has an id" does not mean "is stored".
    @Transient
    private boolean stored;

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return !stored;
    }

    @PostLoad
    @PostPersist
    void markStored() {
        stored = true;
    }

    @Override
    public boolean equals(Object other) {
        return other != null && other.getClass() == getClass() && id.equals(((NurseryRow) other).id);
    }

    @Override
    public int hashCode() {
        return Objects.hash(id);
    }
}
