package garden.vivarium.app.people;

import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.core.measure.UnitSystem;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** Somebody who signs in. Found before anyone is signed in, and so not a nursery's row by Hibernate's tenant. */
@Entity
class Person {

    @Id
    private UUID id;

    private UUID nurseryId;
    private String signIn;
    private String name;
    private String password;
    private Instant createdAt;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(10)")
    private UnitSystem units = UnitSystem.METRIC;

    // Null until chosen.
    private Integer sureOwn;
    private Integer surePromised;

    protected Person() {}

    Person(UUID nurseryId, String signIn, String name, String password, Instant createdAt) {
        this.id = UUID.randomUUID();
        this.nurseryId = nurseryId;
        this.signIn = signIn;
        this.name = name;
        this.password = password;
        this.createdAt = createdAt;
    }

    /** Signed in where they worked last, as what they may do there. */
    SignedIn signedIn(Role role) {
        return new SignedIn(id, nurseryId, signIn, name, password, role, units);
    }

    UUID id() {
        return id;
    }

    UUID nurseryId() {
        return nurseryId;
    }

    String signInName() {
        return signIn;
    }

    String passwordHash() {
        return password;
    }

    /** What a guesser would try first. */
    List<String> guessedFirst() {
        return List.of(signIn, name, "vivarium");
    }

    void worksIn(UUID nursery) {
        nurseryId = nursery;
    }

    /** How sure they chose to be of what was promised, or of their own plans. */
    void wantsToBeSure(boolean promised, int percent) {
        if (promised) {
            surePromised = percent;
        } else {
            sureOwn = percent;
        }
    }

    Integer sureOwn() {
        return sureOwn;
    }

    Integer surePromised() {
        return surePromised;
    }

    void measuresIn(UnitSystem wanted) {
        units = wanted;
    }

    void password(String hash) {
        password = hash;
    }

    PersonView view(Role role) {
        return new PersonView(id, signIn, name, role);
    }
}
