package garden.vivarium.app.people;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.SignedIn;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A nursery comes from elsewhere, with an owner here; or it is left, and nothing of it stays. */
@Service
public class Leaving {

    private final NurseryRepository nurseries;
    private final PersonRepository people;
    private final MembershipRepository memberships;
    private final CurrentNursery current;
    private final JdbcClient database;
    private final StandingSessions standing;
    private final Clock clock;

    Leaving(
            NurseryRepository nurseries,
            PersonRepository people,
            MembershipRepository memberships,
            CurrentNursery current,
            JdbcClient database,
            StandingSessions standing,
            Clock clock) {
        this.standing = standing;
        this.nurseries = nurseries;
        this.people = people;
        this.memberships = memberships;
        this.current = current;
        this.database = database;
        this.clock = clock;
    }

    /** What the current nursery is called. */
    @Transactional(readOnly = true)
    public String name() {
        return nurseries.findById(current.required()).map(Nursery::name).orElse("");
    }

    /** Whoever is signed in owns a nursery that was brought here, in which nobody is yet. */
    @Transactional
    public void owns(UUID nursery) {
        UUID me = current.person().map(SignedIn::personId).orElseThrow();
        owns(nursery, me);
    }

    /**
     * Whoever signs in by that name owns it: they are made where there is nobody of the name, and set their password by a link.
     */
    @Transactional
    public void owns(UUID nursery, String signIn) {
        String wanted = signIn.strip().toLowerCase(Locale.ROOT);
        Person owner = people.findBySignIn(wanted)
                .orElseGet(() -> people.save(new Person(nursery, wanted, signIn.strip(), "none", clock.instant())));
        owns(nursery, owner.id());
    }

    private void owns(UUID nursery, UUID person) {
        if (!memberships.ofNursery(nursery).isEmpty()) {
            throw new InvalidField("file", Messages.text("Leaving.has.people"));
        }
        memberships.save(new Membership(nursery, person, Role.OWNER));
    }

    /**
     * Erases the current nursery with all that is in it, and whoever works nowhere else.
     *
     * @param name what it is called, typed by whoever means it
     * @param session of whoever does it; all others that stand in it end
     * @return where whoever did it works from now on; empty where they are gone with it
     * @throws InvalidField if the name is not that of the nursery
     */
    @Transactional
    public Optional<UUID> erase(String name, String session) {
        UUID nursery = current.required();
        if (!name.strip().equals(name())) {
            throw new InvalidField("name", Messages.text("Leaving.name.wrong", "name", name()));
        }
        UUID me = current.person().map(SignedIn::personId).orElseThrow();
        List<UUID> all = database
                .sql("select distinct person_id from membership where nursery_id = ?")
                .param(nursery.toString())
                .query(String.class)
                .list()
                .stream()
                .map(UUID::fromString)
                .toList();
        for (UUID person : all) {
            elsewhere(person, nursery)
                    .ifPresent(n -> people.findById(person)
                            .filter(p -> p.nurseryId().equals(nursery))
                            .ifPresent(p -> p.worksIn(n)));
        }
        people.flush();
        Optional<UUID> onward = elsewhere(me, nursery);
        Emptying.of(database, nursery);
        // Whoever was signed in to it would ask for what is no more.
        if (!all.isEmpty()) {
            people.findAllById(all).forEach(p -> standing.end(p.signInName(), nursery, session));
        }
        // With them goes what is theirs alone: second factors, known browsers, links.
        database.sql("delete from person where nursery_id = ?")
                .param(nursery.toString())
                .update();
        return onward;
    }

    private Optional<UUID> elsewhere(UUID person, UUID nursery) {
        return memberships.ofPerson(person).stream()
                .map(Membership::nurseryId)
                .filter(n -> !n.equals(nursery))
                .findFirst();
    }
}
