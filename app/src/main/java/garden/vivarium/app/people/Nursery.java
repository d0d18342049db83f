package garden.vivarium.app.people;

import garden.vivarium.core.timing.Hemisphere;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Currency;
import java.util.Optional;
import java.util.UUID;

/** A nursery: the boundary round everything. Not itself a nursery's row. */
@Entity
class Nursery {

    @Id
    private UUID id;

    private String name;
    private String zone;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(10)")
    private Hemisphere hemisphere;

    private String currency;
    private Instant createdAt;

    protected Nursery() {}

    Nursery(UUID id, String name, String zone, Hemisphere hemisphere, Instant createdAt) {
        this.id = id;
        this.name = name;
        this.zone = zone;
        this.hemisphere = hemisphere;
        this.createdAt = createdAt;
    }

    UUID id() {
        return id;
    }

    String name() {
        return name;
    }

    Hemisphere hemisphere() {
        return hemisphere;
    }

    Optional<Currency> currency() {
        return Optional.ofNullable(currency).map(Currency::getInstance);
    }

    /** It keeps its prices in a currency; null for none. */
    void keepsPricesIn(Currency of) {
        currency = of == null ? null : of.getCurrencyCode();
    }
}
