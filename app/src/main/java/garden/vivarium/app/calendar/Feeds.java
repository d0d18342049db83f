package garden.vivarium.app.calendar;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SecretToken;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Private addresses of the calendar: made, listed, withdrawn, and looked up by whoever holds one. */
@Service
class Feeds {

    private static final int MOST_FEEDS = 20;

    private final FeedRepository feeds;
    private final CurrentNursery nursery;
    private final Today today;
    private final JdbcClient database;

    Feeds(FeedRepository feeds, CurrentNursery nursery, Today today, JdbcClient database) {
        this.feeds = feeds;
        this.nursery = nursery;
        this.today = today;
        this.database = database;
    }

    /**
     * Makes an address.
     *
     * @return its secret part, which is not kept and cannot be shown again
     * @throws InvalidField if the name is empty or long, or there are many already
     */
    @Transactional
    String make(String name) {
        if (name == null || name.isBlank() || name.length() > 80) {
            throw new InvalidField("name", Messages.text("Feeds.say.which.calendar.characters"));
        }
        if (list().stream().filter(f -> !f.withdrawn()).count() >= MOST_FEEDS) {
            throw new InvalidField(
                    "name", Messages.text("Feeds.addresses.already.withdraw.one", "mostFeeds", MOST_FEEDS));
        }
        String token = SecretToken.make();
        feeds.save(new Feed(
                SecretToken.hash(token),
                name.strip(),
                nursery.person().map(SignedIn::name).orElse("Vivarium"),
                today.now()));
        return token;
    }

    @Transactional(readOnly = true)
    List<Feed.FeedView> list() {
        return feeds.findAllByOrderByMadeAtDesc().stream().map(Feed::view).toList();
    }

    /** Withdraws an address; whoever holds it gets nothing more. */
    @Transactional
    void withdraw(UUID id) {
        feeds.findById(id)
                .orElseThrow(() -> new NotFound(Messages.text("Feeds.no.such.address")))
                .withdraw(today.now());
    }

    /** The nursery whose calendar an address opens; it is asked before anybody's nursery is known. */
    Optional<UUID> nurseryOf(String token) {
        return database.sql("select nursery_id from calendar_feed where token_hash = ? and withdrawn_at is null")
                .param(SecretToken.hash(token))
                .query(String.class)
                .optional()
                .map(UUID::fromString);
    }
}
