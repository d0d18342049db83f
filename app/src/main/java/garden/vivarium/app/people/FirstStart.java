package garden.vivarium.app.people;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import java.time.ZoneId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lets the first person in, and nobody else by that way. */
@Service
class FirstStart {

    private static final int FREE_TRIES = 5;

    private final People people;
    private final FirstCode code;
    private final SignInAttempts attempts;
    private final JdbcClient database;

    FirstStart(People people, FirstCode code, SignInAttempts attempts, JdbcClient database) {
        this.people = people;
        this.code = code;
        this.attempts = attempts;
        this.database = database;
    }

    /**
     * Opens the first nursery with its first person.
     *
     * @param address where it is asked from; guessing from there is slowed down
     * @return whether it was opened; false where somebody was first
     * @throws InvalidField if the code is wrong, or something cannot be
     */
    @Transactional
    public boolean open(FirstStartForm form, String address) {
        String who = "first:" + address;
        if (attempts.mustWait(who, FREE_TRIES)) {
            throw new InvalidField("code", Messages.text("FirstStart.was.wrong.too.often"));
        }
        if (!code.is(form.code())) {
            attempts.failed(who);
            throw new InvalidField("code", Messages.text("FirstStart.not.code.start.command"));
        }
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
