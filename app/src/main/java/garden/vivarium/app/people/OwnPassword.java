package garden.vivarium.app.people;

import garden.vivarium.app.platform.Brake;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.SecretToken;
import garden.vivarium.app.platform.SignedIn;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Asks whoever is signed in for their password once more, before what a forgotten session must not do. Whoever guesses it there is slowed down as
 * at the door: by the person, however many sessions are theirs, and by the session.
 */
@Component
public class OwnPassword {

    private static final int FREE = 5;
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);

    private final PersonRepository people;
    private final Passwords passwords;
    private final CurrentNursery current;
    private final Brake brake;

    OwnPassword(PersonRepository people, Passwords passwords, CurrentNursery current, Brake brake) {
        this.people = people;
        this.passwords = passwords;
        this.current = current;
        this.brake = brake;
    }

    /**
     * Holds what was typed against the password.
     *
     * @param field that is named where it is wrong
     * @param session in which it was typed
     * @throws InvalidField if it is wrong, or was wrong too often
     */
    public void check(String field, String typed, String session) {
        SignedIn me = current.person().orElseThrow();
        List<Brake.Who> counted = List.of(
                new Brake.Who("inside:" + me.personId(), FREE, LONGEST_WAIT),
                new Brake.Who("session:" + SecretToken.hash(session), FREE, LONGEST_WAIT));
        for (int i = 0; i < counted.size(); i++) {
            Optional<Duration> wait = brake.tries(counted.get(i));
            if (wait.isPresent()) {
                counted.subList(0, i).forEach(brake::takesBack);
                throw new InvalidField(field, Brake.said(wait.get()));
            }
        }
        String hash = people.findById(me.personId()).map(Person::passwordHash).orElse("");
        if (!passwords.matches(typed == null ? "" : typed, hash)) {
            throw new InvalidField(field, Messages.text("OwnPassword.wrong"));
        }
        counted.forEach(brake::forgets);
    }
}
