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
    private boolean sample;
    private boolean settledIn = true;
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

    String zone() {
        return zone;
    }

    boolean isSample() {
        return sample;
    }

    /** It is one to look at, and to be thrown away. */
    void isASample() {
        sample = true;
    }

    /** Its first steps are still to be gone. */
    void isNew() {
        settledIn = false;
    }

    boolean hasSettledIn() {
        return settledIn;
    }

    /** Its first steps are gone, or left out. */
    void settleIn() {
        settledIn = true;
    }

    /** Where it is. */
    void isAt(String inZone, Hemisphere half) {
        zone = inZone;
        hemisphere = half;
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
