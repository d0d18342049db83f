package garden.vivarium.app.door;

import garden.vivarium.app.people.Accounts;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SecretToken;
import garden.vivarium.app.platform.SignedIn;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Links by which somebody sets a new password: good once, and for a day. */
@Service
class PasswordLinks {

    /** So long a link is good. */
    static final Duration GOOD = Duration.ofDays(1);

    private final JdbcClient database;
    private final Accounts accounts;
    private final SecondFactors factors;
    private final KnownBrowsers browsers;
    private final Sessions sessions;
    private final DoorBook book;
    private final Clock clock;

    PasswordLinks(
            JdbcClient database,
            Accounts accounts,
            SecondFactors factors,
            KnownBrowsers browsers,
            Sessions sessions,
            DoorBook book,
            Clock clock) {
        this.database = database;
        this.accounts = accounts;
        this.factors = factors;
        this.browsers = browsers;
        this.sessions = sessions;
        this.book = book;
        this.clock = clock;
    }

    private record Link(UUID person, boolean clearsFactor) {}

    /** Makes one for a person; earlier ones are good no more. Gives the path that opens it, which is nowhere kept. */
    @Transactional
    public String make(UUID person, String by, boolean clearsFactor) {
        database.sql("delete from password_link where person_id = ? or ends_at < ?")
                .params(person.toString(), now())
                .update();
        String token = SecretToken.make();
        database.sql("insert into password_link (token_hash, person_id, made_by, clears_factor, ends_at)"
                        + " values (?, ?, ?, ?, ?)")
                .params(SecretToken.hash(token), person.toString(), by, clearsFactor, now().plus(GOOD))
                .update();
        return "/password/" + token;
    }

    /** Whose it is, while it is good. */
    @Transactional
    public Optional<SignedIn> whose(String token) {
        return link(token).flatMap(l -> accounts.find(l.person()));
    }

    private Optional<Link> link(String token) {
        return database.sql("select person_id, clears_factor from password_link"
                        + " where token_hash = ? and used_at is null and ends_at > ?")
                .params(SecretToken.hash(token), now())
                .query((row, i) -> new Link(UUID.fromString(row.getString(1)), row.getBoolean(2)))
                .optional();
    }

    /**
     * Sets the password, and signs the person out everywhere.
     *
     * @throws NotFound if the link is not good
     * @throws garden.vivarium.app.platform.InvalidField if the password cannot be taken; the link stays good
     */
    @Transactional
    public void use(String token, String password, String browser) {
        Link link = link(token).orElseThrow(() -> new NotFound(Messages.text("PasswordLinks.that.link.is.used.or")));
        SignedIn who = accounts.find(link.person())
                .orElseThrow(() -> new NotFound(Messages.text("PasswordLinks.they.have.left")));
        accounts.password(link.person(), password);
        int used = database.sql("update password_link set used_at = ? where token_hash = ? and used_at is null")
                .params(now(), SecretToken.hash(token))
                .update();
        if (used != 1) {
            throw new NotFound(Messages.text("PasswordLinks.that.link.is.used"));
        }
        if (link.clearsFactor()) {
            factors.turnOff(link.person());
        }
        browsers.forget(link.person());
        sessions.endAll(who.signInName());
        book.write(who.nurseryId(), DoorBook.What.LINK_USED, who.name(), "", browser);
    }

    private LocalDateTime now() {
        return KnownBrowsers.at(clock.instant());
    }
}
