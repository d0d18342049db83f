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

    private final PersonRepository people;
    private final MembershipRepository memberships;
    private final StandingSessions standing;
    private final Passwords passwords;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final CurrentNursery current;
    private final ApplicationEventPublisher changes;
    private final Clock clock;

    Staff(
            PersonRepository people,
            MembershipRepository memberships,
            StandingSessions standing,
            Passwords passwords,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            CurrentNursery current,
            ApplicationEventPublisher changes,
            Clock clock) {
        this.people = people;
        this.memberships = memberships;
        this.standing = standing;
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
     * Says what somebody may do from now on; they sign in anew.
     *
     * @throws InvalidField if no owner would be left
     */
    @Transactional
    PersonView may(UUID id, Role role) {
        Membership here = membership(id);
        if (role != Role.OWNER) {
            refuseLastOwner(here);
        }
        here.may(role);
        Person person = people.findById(id).orElseThrow();
        changes.publishEvent(StaffChanged.here(StaffChanged.What.MAY_OTHERWISE, said(person, role)));
        standing.end(person.signInName(), current.required(), "");
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
        refuseLastOwner(here);
        here.leave(clock.instant());
        Person person = people.findById(id).orElseThrow();
        changes.publishEvent(StaffChanged.here(StaffChanged.What.LEFT, said(person, here.role())));
        standing.end(person.signInName(), current.required(), "");
        return person.view(here.role());
    }

    /**
     * Whoever is signed in works in one of their nurseries no more. Their sessions there end, but for this one.
     *
     * @return where they work from now on; empty where that was the only one
     * @throws InvalidField if no owner would be left
     * @throws NotFound if they do not work there
     */
    @Transactional
    Optional<UUID> leave(UUID nursery, String thisSession) {
        Person me = me();
        Membership there = memberships
                .of(me.id(), nursery)
                .filter(Membership::isHere)
                .orElseThrow(() -> new NotFound(Messages.text("Staff.no.such.nursery")));
        refuseLastOwner(there);
        there.leave(clock.instant());
        changes.publishEvent(new StaffChanged(StaffChanged.What.LEFT, said(me, there.role()), nursery, null));
        standing.end(me.signInName(), nursery, thisSession);
        return memberships.ofPerson(me.id()).stream()
                .map(Membership::nurseryId)
                .filter(n -> !n.equals(nursery))
                .findFirst();
    }

    private void refuseLastOwner(Membership owner) {
        boolean another = owner.role() != Role.OWNER
                || memberships.ofNursery(owner.nurseryId()).stream()
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
        changes.publishEvent(StaffChanged.here(
                StaffChanged.What.PASSWORD, me.view(Role.OWNER).name()));
        signOutBut(me, thisSession);
    }

    /** Signs oneself out in every other browser. */
    @Transactional(readOnly = true)
    void signOutEverywhereElse(String thisSession) {
        signOutBut(me(), thisSession);
    }

    private static String said(Person person, Role role) {
        return person.view(role).name() + ", " + role.words();
    }

    private Person me() {
        UUID id = current.person().map(SignedIn::personId).orElseThrow();
        return people.findById(id).orElseThrow(() -> new NotFound(Messages.text("Staff.no.such.person")));
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
                .orElseThrow(() -> new NotFound(Messages.text("Staff.no.such.person")));
    }
}
