package garden.vivarium.app.people;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** People as those who keep the door know them. */
@Service
public class Accounts {

    private final PersonRepository people;
    private final MembershipRepository memberships;
    private final Passwords passwords;
    private final CurrentNursery current;

    Accounts(PersonRepository people, MembershipRepository memberships, Passwords passwords, CurrentNursery current) {
        this.people = people;
        this.memberships = memberships;
        this.passwords = passwords;
        this.current = current;
    }

    /** Who signs in so, with their hash, where they worked last or, where they have left that, in another nursery. */
    @Transactional
    public Optional<SignedIn> find(String signIn) {
        return people.findBySignIn(signIn.strip().toLowerCase(Locale.ROOT)).flatMap(this::working);
    }

    /** The same person by id. */
    @Transactional
    public Optional<SignedIn> find(UUID person) {
        return people.findById(person).flatMap(this::working);
    }

    private Optional<SignedIn> working(Person person) {
        List<Membership> all = memberships.ofPerson(person.id());
        Optional<Membership> last = all.stream()
                .filter(m -> m.nurseryId().equals(person.nurseryId()))
                .findFirst()
                .or(() -> all.stream().findFirst());
        return last.map(m -> {
            person.worksIn(m.nurseryId());
            return person.signedIn(m.role());
        });
    }

    /**
     * Somebody of the current nursery.
     *
     * @throws NotFound if they do not work here
     */
    @Transactional(readOnly = true)
    public PersonView here(UUID person) {
        Membership here = memberships
                .of(person, current.required())
                .filter(Membership::isHere)
                .orElseThrow(() -> new NotFound(Messages.text("Accounts.no.such.person")));
        return people.findById(person).orElseThrow().view(here.role());
    }

    /** Whether they work in another nursery too, whose owners have as much to say. */
    @Transactional(readOnly = true)
    public boolean worksElsewhere(UUID person) {
        return memberships.ofPerson(person).stream()
                .anyMatch(m -> !m.nurseryId().equals(current.required()));
    }

    /**
     * Gives them a new password.
     *
     * @throws garden.vivarium.app.platform.InvalidField of "password", if it is too short or too easily guessed
     */
    @Transactional
    public void password(UUID person, String wanted) {
        Person of = people.findById(person).orElseThrow(() -> new NotFound(Messages.text("Accounts.no.such.person")));
        of.password(passwords.taken("password", wanted, of.guessedFirst()));
    }
}
