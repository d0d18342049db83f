package garden.vivarium.app.people;

import garden.vivarium.app.platform.Brake;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Lets the first person in, and nobody else by that way. */
@Service
class FirstStart {

    private static final int FREE_TRIES = 5;
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);

    private final People people;
    private final FirstCode code;
    private final Brake brake;
    private final JdbcClient database;
    private final TransactionTemplate transaction;

    FirstStart(People people, FirstCode code, Brake brake, JdbcClient database, TransactionTemplate transaction) {
        this.people = people;
        this.code = code;
        this.brake = brake;
        this.database = database;
        this.transaction = transaction;
    }

    /**
     * Opens the first nursery with its first person.
     *
     * @param address where it is asked from; guessing from there is slowed down
     * @return whether it was opened; false where somebody was first
     * @throws InvalidField if the code is wrong, or something cannot be
     */
    boolean open(FirstStartForm form, String address) {
        Brake.Who who = new Brake.Who("first:" + address, FREE_TRIES, LONGEST_WAIT);
        Optional<Duration> wait = brake.tries(who);
        if (wait.isPresent()) {
            throw new InvalidField("code", Brake.said(wait.get()));
        }
        if (!code.is(form.code())) {
            throw new InvalidField("code", Messages.text("FirstStart.not.code.start.command"));
        }
        brake.forgets(who);
        return Boolean.TRUE.equals(transaction.execute(t -> opened(form)));
    }

    private boolean opened(FirstStartForm form) {
        // Whoever else presses now waits here until this one is done, and then finds somebody.
        database.sql("select id from first_start for update")
                .query(Integer.class)
                .single();
        if (!people.isNobodyHere()) {
            return false;
        }
        people.open(new People.NewNursery(
                form.nursery(),
                ZoneId.of(form.zone()),
                form.hemisphere(),
                form.currency(),
                form.signIn(),
                form.name(),
                form.password()));
        return true;
    }
}
