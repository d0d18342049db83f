package garden.vivarium.app.people;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.ForAWhile;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.timing.Hemisphere;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Nurseries and the people in them. */
@Service
public class People {

    private final NurseryRepository nurseries;
    private final PersonRepository people;
    private final MembershipRepository memberships;
    private final Passwords passwords;
    private final CurrentNursery current;
    private final Money money;
    private final Today facts;
    private final Clock clock;
    private final ForAWhile<UUID, Hemisphere> hemispheres = new ForAWhile<>(Duration.ofSeconds(20));

    People(
            NurseryRepository nurseries,
            PersonRepository people,
            MembershipRepository memberships,
            Passwords passwords,
            CurrentNursery current,
            Money money,
            Today facts,
            Clock clock) {
        this.nurseries = nurseries;
        this.people = people;
        this.memberships = memberships;
        this.passwords = passwords;
        this.current = current;
        this.money = money;
        this.facts = facts;
        this.clock = clock;
    }

    /** Whether nobody has ever signed up: then the first-start page stands open. */
    @Transactional(readOnly = true)
    public boolean isNobodyHere() {
        return people.count() == 0;
    }

    /**
     * Opens a nursery with its first person.
     *
     * @return the nursery's id
     * @throws InvalidField if the sign-in name is taken or the password too short
     */
    @Transactional
    public UUID open(NewNursery wanted) {
        String signIn = wanted.signIn().toLowerCase(Locale.ROOT);
        refuse(signIn);
        String hash = passwords.taken(
                "password", wanted.password(), List.of(signIn, wanted.name(), wanted.nursery(), "vivarium"));
        UUID id = UUID.randomUUID();
        Nursery opened = new Nursery(id, wanted.nursery(), wanted.zone().getId(), wanted.hemisphere(), clock.instant());
        opened.isNew();
        nurseries.saveAndFlush(opened);
        money.keepIn(id, wanted.currency());
        Person owner = people.save(new Person(id, signIn, wanted.name(), hash, clock.instant()));
        memberships.save(new Membership(id, owner.id(), Role.OWNER));
        return id;
    }

    /** Refuses a name that somebody has. */
    void refuse(String signIn) {
        if (people.findBySignIn(signIn).isPresent()) {
            throw new InvalidField("signIn", Messages.text("People.taken.choose.another.name", "signIn", signIn));
        }
    }

    /**
     * A nursery to be opened, and its first person.
     *
     * @param currency code of that in which it keeps its prices, or null
     */
    public record NewNursery(
            String nursery,
            ZoneId zone,
            Hemisphere hemisphere,
            String currency,
            String signIn,
            String name,
            String password) {}

    /**
     * Says where the current nursery is.
     *
     * @throws InvalidField if the zone is unknown
     */
    @Transactional
    public void isAt(String zone, Hemisphere half, String currency) {
        UUID id = current.required();
        try {
            nurseries.findById(id).orElseThrow().isAt(ZoneId.of(zone).getId(), half);
        } catch (DateTimeException | NullPointerException unknown) {
            throw new InvalidField("zone", Messages.text("People.unknown.zone"));
        }
        money.keepIn(id, currency);
        hemispheres.forget(id);
        facts.forget(id);
    }

    /** Zones to choose from, by name. */
    public static List<String> zones() {
        return ZoneId.getAvailableZoneIds().stream()
                .filter(z -> z.contains("/") && !z.startsWith("Etc") && !z.startsWith("SystemV"))
                .sorted()
                .toList();
    }

    /** The zone of the current nursery. */
    @Transactional(readOnly = true)
    public String zone() {
        return nurseries.findById(current.required()).map(Nursery::zone).orElse("UTC");
    }

    /** Whether the first steps of the current nursery are gone or left out, or are for somebody else to go. */
    @Transactional(readOnly = true)
    public boolean hasSettledIn() {
        return current.person().filter(p -> p.role() == Role.OWNER).isEmpty()
                || nurseries
                        .findById(current.required())
                        .map(Nursery::hasSettledIn)
                        .orElse(true);
    }

    /** The first steps are gone, or left out. */
    @Transactional
    public void settleIn() {
        nurseries.findById(current.required()).ifPresent(Nursery::settleIn);
    }

    /** The hemisphere of the current nursery. */
    @Transactional(readOnly = true)
    public Hemisphere hemisphere() {
        return hemispheres.of(
                current.required(),
                id -> nurseries
                        .findById(id)
                        .map(Nursery::hemisphere)
                        .orElseThrow(() -> new IllegalStateException("the nursery is gone")));
    }

    /** The nursery of the person who signs in so, if there is one. */
    @Transactional(readOnly = true)
    public Optional<UUID> nurseryOf(String signIn) {
        return people.findBySignIn(signIn.toLowerCase(Locale.ROOT)).map(Person::nurseryId);
    }
}
