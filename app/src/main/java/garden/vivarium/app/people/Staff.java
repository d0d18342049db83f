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
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people of the current nursery: who may do what. What a person may is checked where requests come in. */
@Service
class Staff {

    private final PersonRepository people;
    private final MembershipRepository memberships;
    private final People nurseries;
    private final PasswordEncoder passwords;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final CurrentNursery current;
    private final Clock clock;

    Staff(
            PersonRepository people,
            MembershipRepository memberships,
            People nurseries,
            PasswordEncoder passwords,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            CurrentNursery current,
            Clock clock) {
        this.people = people;
        this.memberships = memberships;
        this.nurseries = nurseries;
        this.passwords = passwords;
        this.sessions = sessions;
        this.current = current;
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
     * @throws InvalidField if the sign-in name is taken or the password too short
     */
    @Transactional
    PersonView add(String name, String signIn, String password, Role role) {
        String wanted = signIn.strip().toLowerCase(Locale.ROOT);
        nurseries.refuse(wanted, password);
        Person added = people.save(
                new Person(current.required(), wanted, name.strip(), passwords.encode(password), clock.instant()));
        memberships.save(new Membership(current.required(), added.id(), role));
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
     * Changes one's own password; other browsers are signed out.
     *
     * @throws InvalidField if the old one is wrong, or the new one too short
     */
    @Transactional
    void changePassword(String old, String wanted, String thisSession) {
        Person me = me();
        if (!passwords.matches(old, me.passwordHash())) {
            throw new InvalidField("old", Messages.text("Staff.old.password.wrong"));
        }
        People.refuseShort(wanted);
        me.password(passwords.encode(wanted));
        signOutBut(me, thisSession);
    }

    /** Signs oneself out in every other browser. */
    @Transactional(readOnly = true)
    void signOutEverywhereElse(String thisSession) {
        signOutBut(me(), thisSession);
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
