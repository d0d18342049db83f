package garden.vivarium.app.people;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.SignedIn;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
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
    private final People nurseries;
    private final PasswordEncoder passwords;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final CurrentNursery current;
    private final Clock clock;

    Staff(
            PersonRepository people,
            People nurseries,
            PasswordEncoder passwords,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            CurrentNursery current,
            Clock clock) {
        this.people = people;
        this.nurseries = nurseries;
        this.passwords = passwords;
        this.sessions = sessions;
        this.current = current;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<PersonView> all() {
        return people.ofNursery(current.required()).stream().map(Person::view).toList();
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
        return people.save(new Person(
                        current.required(), wanted, name.strip(), passwords.encode(password), role, clock.instant()))
                .view();
    }

    /**
     * Says what somebody may do from now on; they sign in anew.
     *
     * @throws InvalidField if no owner would be left
     */
    @Transactional
    PersonView may(UUID id, Role role) {
        Person person = person(id);
        if (person.role() == Role.OWNER && role != Role.OWNER) {
            refuseLastOwner(person);
        }
        person.may(role);
        signOut(person);
        return person.view();
    }

    /**
     * Somebody leaves: they sign in no more. What they wrote down stays, under their name.
     *
     * @throws InvalidField if no owner would be left
     */
    @Transactional
    PersonView leave(UUID id) {
        Person person = person(id);
        if (person.role() == Role.OWNER) {
            refuseLastOwner(person);
        }
        person.leave(clock.instant());
        signOut(person);
        return person.view();
    }

    private void refuseLastOwner(Person person) {
        boolean another = people.ofNursery(current.required()).stream()
                .anyMatch(p -> p.role() == Role.OWNER && !p.id().equals(person.id()));
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
        if (!passwords.matches(old, me.signedIn().passwordHash())) {
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
        sessions.findByPrincipalName(person.signedIn().signInName()).keySet().stream()
                .filter(id -> !id.equals(kept))
                .forEach(sessions::deleteById);
    }

    private Person person(UUID id) {
        return people.findById(id)
                .filter(p -> p.signedIn().nurseryId().equals(current.required()) && p.isHere())
                .orElseThrow(() -> new NotFound("no such person"));
    }
}
