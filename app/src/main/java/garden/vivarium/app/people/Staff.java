package garden.vivarium.app.people;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.SignedIn;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people of the current nursery: who may do what. What a person may is checked where requests come in. */
@Service
class Staff {

    private static final String NO_PASSWORD = "none";

    private final PersonRepository people;
    private final MembershipRepository memberships;
    private final People nurseries;
    private final Passwords passwords;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final CurrentNursery current;
    private final ApplicationEventPublisher changes;
    private final Clock clock;

    Staff(
            PersonRepository people,
            MembershipRepository memberships,
            People nurseries,
            Passwords passwords,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            CurrentNursery current,
            ApplicationEventPublisher changes,
            Clock clock) {
        this.people = people;
        this.memberships = memberships;
        this.nurseries = nurseries;
        this.passwords = passwords;
        this.sessions = sessions;
        this.current = current;
        this.changes = changes;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<PersonView> all() {
        return memberships.ofNursery(current.required()).stream()
                .map(m -> people.findById(m.personId()).orElseThrow().view(m.role()))
                .sorted(Comparator.comparing(PersonView::name).thenComparing(PersonView::signIn))
                .toList();
    }

    /**
     * Lets somebody in, with a sign-in of their own.
     *
     * @param password their first; blank where they will set one by a link
     * @throws InvalidField if the sign-in name is taken or the password too short
     */
    @Transactional
    PersonView add(String name, String signIn, String password, Role role) {
        String wanted = signIn.strip().toLowerCase(Locale.ROOT);
        nurseries.refuse(wanted);
        // Who has none yet has a hash that nothing matches.
        String hash = password == null || password.isBlank()
                ? NO_PASSWORD
                : passwords.taken("password", password, List.of(wanted, name.strip(), "vivarium"));
        Person added = people.save(new Person(current.required(), wanted, name.strip(), hash, clock.instant()));
        memberships.save(new Membership(current.required(), added.id(), role));
        changes.publishEvent(new StaffChanged(StaffChanged.What.ADDED, said(added, role)));
        return added.view(role);
    }

    /**
     * Lets somebody in who has a sign-in of their own already, from another nursery.
     *
     * @throws InvalidField if nobody signs in so, or they are here
     */
    @Transactional
    PersonView letIn(String signIn, Role role) {
        Person person = people.findBySignIn(signIn == null ? "" : signIn.strip().toLowerCase(Locale.ROOT))
                .orElseThrow(() -> new InvalidField("known", Messages.text("Staff.nobody.signs.in")));
        Optional<Membership> before = memberships.of(person.id(), current.required());
        if (before.filter(Membership::isHere).isPresent()) {
            throw new InvalidField("known", Messages.text("Staff.here.already"));
        }
        before.ifPresentOrElse(
                m -> m.may(role), () -> memberships.save(new Membership(current.required(), person.id(), role)));
        changes.publishEvent(new StaffChanged(StaffChanged.What.ADDED, said(person, role)));
        return person.view(role);
    }

    /**
     * Says what somebody may do from now on; they sign in anew.
     *
     * @throws InvalidField if no owner would be left
     */
    @Transactional
    PersonView may(UUID id, Role role) {
        Membership here = membership(id);
        if (here.role() == Role.OWNER && role != Role.OWNER) {
            refuseLastOwner(here);
        }
        here.may(role);
        Person person = people.findById(id).orElseThrow();
        changes.publishEvent(new StaffChanged(StaffChanged.What.MAY_OTHERWISE, said(person, role)));
        signOut(person);
        return person.view(role);
    }

    /**
     * Somebody leaves: they sign in no more. What they wrote down stays, under their name.
     *
     * @throws InvalidField if no owner would be left
     */
    @Transactional
    PersonView leave(UUID id) {
        Membership here = membership(id);
        if (here.role() == Role.OWNER) {
            refuseLastOwner(here);
        }
        here.leave(clock.instant());
        Person person = people.findById(id).orElseThrow();
        changes.publishEvent(new StaffChanged(StaffChanged.What.LEFT, said(person, here.role())));
        signOut(person);
        return person.view(here.role());
    }

    private void refuseLastOwner(Membership owner) {
        boolean another = memberships.ofNursery(current.required()).stream()
                .anyMatch(m -> m.role() == Role.OWNER && !m.personId().equals(owner.personId()));
        if (!another) {
            throw new InvalidField("role", Messages.text("Staff.last.owner"));
        }
    }

    /**
     * Changes one's own password, the old one of which was asked for; other browsers are signed out.
     *
     * @throws InvalidField if the new one is too short or too easily guessed
     */
    @Transactional
    void changePassword(String wanted, String thisSession) {
        Person me = me();
        me.password(passwords.taken("wanted", wanted, me.guessedFirst()));
        changes.publishEvent(
                new StaffChanged(StaffChanged.What.PASSWORD, me.view(Role.OWNER).name()));
        signOutBut(me, thisSession);
    }

    /** Signs oneself out in every other browser. */
    @Transactional(readOnly = true)
    void signOutEverywhereElse(String thisSession) {
        signOutBut(me(), thisSession);
    }

    private static String said(Person person, Role role) {
        return person.view(role).name() + ", " + role.title();
    }

    private Person me() {
        UUID id = current.person().map(SignedIn::personId).orElseThrow();
        return people.findById(id).orElseThrow(() -> new NotFound("no such person"));
    }

    private void signOut(Person person) {
        signOutBut(person, "");
    }

    private void signOutBut(Person person, String kept) {
        sessions.findByPrincipalName(person.signInName()).keySet().stream()
                .filter(id -> !id.equals(kept))
                .forEach(sessions::deleteById);
    }

    private Membership membership(UUID person) {
        return memberships
                .of(person, current.required())
                .filter(Membership::isHere)
                .orElseThrow(() -> new NotFound("no such person"));
    }
}
