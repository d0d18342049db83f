package garden.vivarium.app.people;

import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.SignedIn;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
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
    private Role role;

    private Instant leftAt;

    protected Person() {}

    Person(UUID nurseryId, String signIn, String name, String password, Role role, Instant createdAt) {
        this.id = UUID.randomUUID();
        this.nurseryId = nurseryId;
        this.signIn = signIn;
        this.name = name;
        this.password = password;
        this.role = role;
        this.createdAt = createdAt;
    }

    SignedIn signedIn() {
        return new SignedIn(id, nurseryId, signIn, name, password, role);
    }

    UUID id() {
        return id;
    }

    Role role() {
        return role;
    }

    boolean isHere() {
        return leftAt == null;
    }

    void may(Role now) {
        role = now;
    }

    void leave(Instant when) {
        leftAt = when;
    }

    void password(String hash) {
        password = hash;
    }

    PersonView view() {
        return new PersonView(id, signIn, name, role);
    }
}
