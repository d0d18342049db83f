package garden.vivarium.app.people;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.SecretToken;
import garden.vivarium.app.platform.SignedIn;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Who is asked to work in a nursery. Nobody works anywhere before they have accepted it: whoever signs in already by a button, whoever is new by
 * coming in. To whoever asks, both look the same, so that nobody learns who signs in elsewhere on this installation.
 */
@Service
public class Invitations {

    private static final Duration GOOD = Duration.ofDays(14);
    private static final int MOST = 50;
    private static final String ALL = "select id, nursery_id, sign_in, name, role, password, made_by from invitation";

    private final PersonRepository people;
    private final MembershipRepository memberships;
    private final NurseryRepository nurseries;
    private final Passwords passwords;
    private final CurrentNursery current;
    private final ApplicationEventPublisher changes;
    private final JdbcClient database;
    private final Clock clock;

    Invitations(
            PersonRepository people,
            MembershipRepository memberships,
            NurseryRepository nurseries,
            Passwords passwords,
            CurrentNursery current,
            ApplicationEventPublisher changes,
            JdbcClient database,
            Clock clock) {
        this.people = people;
        this.memberships = memberships;
        this.nurseries = nurseries;
        this.passwords = passwords;
        this.current = current;
        this.changes = changes;
        this.database = database;
        this.clock = clock;
    }

    private record Row(UUID id, UUID nursery, String signIn, String name, Role role, String password, String by) {

        private static Row of(ResultSet row, int n) throws SQLException {
            return new Row(
                    UUID.fromString(row.getString(1)),
                    UUID.fromString(row.getString(2)),
                    row.getString(3),
                    row.getString(4),
                    Role.valueOf(row.getString(5)),
                    row.getString(6),
                    row.getString(7));
        }
    }

    /** One that the current nursery has open: whom it asked, as it typed them. */
    public record Open(UUID id, String name, String signIn, Role role, boolean withPassword) {}

    /** One that somebody has been sent: from which nursery, as what, by whom. */
    public record Sent(UUID id, String nursery, Role role, String by) {}

    /**
     * Asks somebody to work in the current nursery.
     *
     * @param password their first, where they are new here; blank where they have one, or will set it by the link
     * @return what the link to accept it ends with, where no password was given
     * @throws InvalidField if they work here already, the password is too weak or very many are open
     */
    @Transactional
    public Optional<String> invite(String name, String signIn, String password, Role role) {
        String wanted = signIn.strip().toLowerCase(Locale.ROOT);
        UUID here = current.required();
        boolean works = people.findBySignIn(wanted)
                .flatMap(p -> memberships.of(p.id(), here))
                .filter(Membership::isHere)
                .isPresent();
        if (works) {
            throw new InvalidField("signIn", Messages.text("Staff.here.already"));
        }
        if (open().size() >= MOST) {
            throw new InvalidField("signIn", Messages.text("Invitations.many", "most", MOST));
        }
        boolean hasNone = password == null || password.isBlank();
        String hash = hasNone ? null : passwords.taken("password", password, List.of(wanted, name.strip(), "vivarium"));
        String token = hasNone ? SecretToken.make() : null;
        database.sql("delete from invitation where (nursery_id = ? and sign_in = ?) or made_at < ?")
                .params(here.toString(), wanted, now().minus(GOOD))
                .update();
        database.sql(
                        "insert into invitation (id, nursery_id, sign_in, name, role, password, token_hash, made_by, made_at)"
                                + " values (?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .params(
                        UUID.randomUUID().toString(),
                        here.toString(),
                        wanted,
                        name.strip(),
                        role.name(),
                        hash,
                        token == null ? null : SecretToken.hash(token),
                        current.person().map(SignedIn::name).orElse(""),
                        now())
                .update();
        changes.publishEvent(StaffChanged.here(StaffChanged.What.INVITED, said(name.strip(), role)));
        return Optional.ofNullable(token);
    }

    /** Those of the current nursery that nobody has taken up. */
    @Transactional(readOnly = true)
    public List<Open> open() {
        return database
                .sql(ALL + " where nursery_id = ? and made_at > ? order by name, sign_in")
                .params(current.required().toString(), now().minus(GOOD))
                .query(Row::of)
                .list()
                .stream()
                .map(r -> new Open(r.id(), r.name(), r.signIn(), r.role(), r.password() != null))
                .toList();
    }

    /** One of the current nursery is taken back. */
    @Transactional
    public void withdraw(UUID id) {
        database.sql("delete from invitation where id = ? and nursery_id = ?")
                .params(id.toString(), current.required().toString())
                .update();
    }

    /** Those that were sent to whoever is signed in. */
    @Transactional(readOnly = true)
    public List<Sent> mine() {
        return current.person().map(SignedIn::signInName).map(this::sentTo).orElse(List.of());
    }

    /** Those that were sent to somebody. */
    @Transactional(readOnly = true)
    public List<Sent> sentTo(String signIn) {
        return rows(signIn).stream()
                .map(r -> new Sent(
                        r.id(),
                        nurseries.findById(r.nursery()).map(Nursery::name).orElse(""),
                        r.role(),
                        r.by()))
                .toList();
    }

    private List<Row> rows(String signIn) {
        return database.sql(ALL + " where sign_in = ? and made_at > ? order by made_at desc")
                .params(signIn, now().minus(GOOD))
                .query(Row::of)
                .list();
    }

    /**
     * Whoever is signed in takes one up.
     *
     * @return what the nursery is called
     * @throws NotFound if it is not theirs, or was taken back
     */
    @Transactional
    public String accept(UUID id) {
        Row invitation = mine(id);
        Person me = people.findBySignIn(invitation.signIn())
                .orElseThrow(() -> new NotFound(Messages.text("Invitations.no.such.person")));
        settle(invitation, me);
        return nurseries.findById(invitation.nursery()).map(Nursery::name).orElse("");
    }

    /** Whoever is signed in does not want it. */
    @Transactional
    public void decline(UUID id) {
        gone(mine(id));
    }

    private Row mine(UUID id) {
        String me = current.person().map(SignedIn::signInName).orElseThrow();
        return rows(me).stream()
                .filter(r -> r.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound(Messages.text("Invitations.no.such.invitation")));
    }

    private void settle(Row invitation, Person person) {
        memberships
                .of(person.id(), invitation.nursery())
                .ifPresentOrElse(
                        m -> m.may(invitation.role()),
                        () -> memberships.save(new Membership(invitation.nursery(), person.id(), invitation.role())));
        gone(invitation);
        changes.publishEvent(new StaffChanged(
                StaffChanged.What.ADDED,
                said(person.view(invitation.role()).name(), invitation.role()),
                invitation.nursery(),
                person.view(invitation.role()).name()));
    }

    private void gone(Row invitation) {
        database.sql("delete from invitation where id = ?")
                .param(invitation.id().toString())
                .update();
    }

    /**
     * The hash of the password by which somebody may come in who works nowhere: their own, or where nobody has the name, the first one that they were
     * given.
     */
    @Transactional(readOnly = true)
    public Optional<String> passwordToComeIn(String signIn) {
        List<Row> sent = rows(signIn);
        if (sent.isEmpty()) {
            return Optional.empty();
        }
        Optional<Person> person = people.findBySignIn(signIn);
        return person.isPresent()
                ? person.map(Person::passwordHash)
                : sent.stream().map(Row::password).filter(p -> p != null).findFirst();
    }

    /** They knew it: they work where they were asked to from now on, and are somebody here if they were not. */
    @Transactional
    public void comeIn(String signIn, String hash) {
        List<Row> sent = rows(signIn);
        Optional<Person> person = people.findBySignIn(signIn);
        sent.stream()
                .filter(r -> person.isPresent() || hash.equals(r.password()))
                .findFirst()
                .ifPresent(r -> settle(r, person.orElseGet(() -> made(r, hash))));
    }

    private Person made(Row invitation, String hash) {
        return people.save(
                new Person(invitation.nursery(), invitation.signIn(), invitation.name(), hash, clock.instant()));
    }

    /** What a link is about, while it is good: from which nursery, as what; and by which name one signs in. */
    public record ByLink(String nursery, Role role, String signIn) {}

    @Transactional(readOnly = true)
    public Optional<ByLink> byLink(String token) {
        return linked(token)
                .map(r -> new ByLink(
                        nurseries.findById(r.nursery()).map(Nursery::name).orElse(""), r.role(), r.signIn()));
    }

    private Optional<Row> linked(String token) {
        return database.sql(ALL + " where token_hash = ? and made_at > ?")
                .params(SecretToken.hash(token), now().minus(GOOD))
                .query(Row::of)
                .optional();
    }

    /**
     * Whoever holds the link is new here, and sets their first password: by that they accept.
     *
     * @throws NotFound if the link is good no more
     * @throws InvalidField of "password", if it is too weak, or somebody has the name and is to sign in by their own
     */
    @Transactional
    public void takeUp(String token, String password) {
        Row invitation =
                linked(token).orElseThrow(() -> new NotFound(Messages.text("Invitations.that.link.is.used.or")));
        if (people.findBySignIn(invitation.signIn()).isPresent()) {
            throw new InvalidField("password", Messages.text("Invitations.sign.in"));
        }
        String hash =
                passwords.taken("password", password, List.of(invitation.signIn(), invitation.name(), "vivarium"));
        settle(invitation, made(invitation, hash));
    }

    private static String said(String name, Role role) {
        return name + ", " + role.words();
    }

    private LocalDateTime now() {
        return LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
    }
}
