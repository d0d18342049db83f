package garden.vivarium.app.people;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.SignedIn;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The nurseries that somebody works in: which they are, going from one to another, opening one more, throwing a sample away. */
@Service
public class Workplaces {

    private static final int MOST = 20;

    private final PersonRepository people;
    private final MembershipRepository memberships;
    private final NurseryRepository nurseries;
    private final CurrentNursery current;
    private final JdbcClient database;
    private final Staff staff;
    private final Clock clock;
    private final boolean everybodyOpens;

    Workplaces(
            PersonRepository people,
            MembershipRepository memberships,
            NurseryRepository nurseries,
            CurrentNursery current,
            JdbcClient database,
            Staff staff,
            Clock clock,
            @Value("${vivarium.nurseries.opened-by:owners}") String openedBy) {
        this.everybodyOpens = openedBy.strip().equals("everybody");
        this.people = people;
        this.memberships = memberships;
        this.nurseries = nurseries;
        this.current = current;
        this.database = database;
        this.staff = staff;
        this.clock = clock;
    }

    /** Those of the person signed in, by name. */
    @Transactional(readOnly = true)
    public List<WorkplaceView> mine() {
        return current.person().map(SignedIn::personId).map(this::of).orElse(List.of());
    }

    private List<WorkplaceView> of(UUID person) {
        return memberships.ofPerson(person).stream()
                .map(m -> {
                    Nursery n = nurseries.findById(m.nurseryId()).orElseThrow();
                    return new WorkplaceView(n.id(), n.name(), m.role(), n.isSample());
                })
                .sorted(Comparator.comparing(WorkplaceView::name))
                .toList();
    }

    /**
     * Goes to another of one's nurseries.
     *
     * @return who is signed in from now on
     * @throws NotFound if the person does not work there
     */
    @Transactional
    public SignedIn goTo(UUID nursery) {
        Person me = me();
        Membership there = memberships
                .of(me.id(), nursery)
                .filter(Membership::isHere)
                .orElseThrow(() -> new NotFound(Messages.text("Workplaces.no.such.nursery")));
        me.worksIn(nursery);
        return me.signedIn(there.role()).withoutHash();
    }

    /**
     * Whoever is signed in leaves one of their nurseries.
     *
     * @return where they work on: where they stand, if that is not the one they left; empty where it was the only one
     * @throws InvalidField if no owner would be left in it
     */
    public Optional<UUID> leave(UUID nursery, String thisSession) {
        Optional<UUID> other = staff.leave(nursery, thisSession);
        return other.map(o -> current.required().equals(nursery) ? o : current.required());
    }

    /** Whether whoever is signed in may open one more: owners, and others where the installation lets them. A sample makes nobody an owner. */
    @Transactional(readOnly = true)
    public boolean mayOpen() {
        return everybodyOpens || mine().stream().anyMatch(w -> w.role() == Role.OWNER && !w.sample());
    }

    /**
     * Opens one more nursery, of which the person signed in is the owner.
     *
     * @param sample whether it is one to look at, and to be thrown away
     * @throws InvalidField if it has no name, the person has very many, or may open none
     */
    @Transactional
    public UUID open(String name, String zone, boolean sample) {
        Person me = me();
        if (!mayOpen()) {
            throw new InvalidField("nursery", Messages.text("Workplaces.owners.open"));
        }
        if (name == null || name.isBlank() || name.strip().length() > 120) {
            throw new InvalidField("nursery", Messages.text("Workplaces.name"));
        }
        if (memberships.ofPerson(me.id()).size() >= MOST) {
            throw new InvalidField("nursery", Messages.text("Workplaces.many", "most", MOST));
        }
        Nursery here = nurseries.findById(current.required()).orElseThrow();
        UUID id = UUID.randomUUID();
        Nursery opened = new Nursery(id, name.strip(), zone(zone, here), here.hemisphere(), clock.instant());
        here.currency().ifPresent(opened::keepsPricesIn);
        if (sample) {
            opened.isASample();
        } else {
            opened.isNew();
        }
        nurseries.saveAndFlush(opened);
        memberships.save(new Membership(id, me.id(), Role.OWNER));
        return id;
    }

    private static String zone(String wanted, Nursery otherwise) {
        try {
            return wanted == null || wanted.isBlank()
                    ? otherwise.zone()
                    : ZoneId.of(wanted).getId();
        } catch (DateTimeException unknown) {
            return otherwise.zone();
        }
    }

    /**
     * Throws a sample away, with all that is in it.
     *
     * @return the nursery in which its owner works from now on
     * @throws InvalidField if it is none, or its owner has no other
     */
    @Transactional
    public UUID throwAway(UUID nursery) {
        Person me = me();
        boolean mine = memberships
                .of(me.id(), nursery)
                .filter(m -> m.isHere() && m.role() == Role.OWNER)
                .isPresent();
        if (!mine || !nurseries.findById(nursery).filter(Nursery::isSample).isPresent()) {
            throw new InvalidField("nursery", Messages.text("Workplaces.no.sample"));
        }
        UUID other = memberships.ofPerson(me.id()).stream()
                .map(Membership::nurseryId)
                .filter(n -> !n.equals(nursery))
                .findFirst()
                .orElseThrow(() -> new InvalidField("nursery", Messages.text("Workplaces.only.one")));
        me.worksIn(other);
        people.flush();
        // Whoever else worked there last begins elsewhere; where they may work their memberships say.
        database.sql("update person set nursery_id = ? where nursery_id = ?")
                .params(other.toString(), nursery.toString())
                .update();
        Emptying.of(database, nursery);
        return other;
    }

    private Person me() {
        return current.person()
                .map(SignedIn::personId)
                .flatMap(people::findById)
                .orElseThrow(() -> new NotFound(Messages.text("Workplaces.no.such.person")));
    }
}
