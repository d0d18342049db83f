package garden.vivarium.app.people;

import garden.vivarium.app.platform.SignedIn;
import jakarta.persistence.Entity;
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

    protected Person() {}

    Person(UUID nurseryId, String signIn, String name, String password, Instant createdAt) {
        this.id = UUID.randomUUID();
        this.nurseryId = nurseryId;
        this.signIn = signIn;
        this.name = name;
        this.password = password;
        this.createdAt = createdAt;
    }

    SignedIn signedIn() {
        return new SignedIn(id, nurseryId, signIn, name, password);
    }
}
