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
import java.util.UUID;
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
    private final Clock clock;

    Workplaces(
            PersonRepository people,
            MembershipRepository memberships,
            NurseryRepository nurseries,
            CurrentNursery current,
            JdbcClient database,
            Clock clock) {
        this.people = people;
        this.memberships = memberships;
        this.nurseries = nurseries;
        this.current = current;
        this.database = database;
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
                .orElseThrow(() -> new NotFound("no such nursery"));
        me.worksIn(nursery);
        return me.signedIn(there.role()).withoutHash();
    }

    /**
     * Opens one more nursery, of which the person signed in is the owner.
     *
     * @param sample whether it is one to look at, and to be thrown away
     * @throws InvalidField if it has no name, or the person has very many
     */
    @Transactional
    public UUID open(String name, String zone, boolean sample) {
        Person me = me();
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
                .orElseThrow(() -> new NotFound("no such person"));
    }
}
