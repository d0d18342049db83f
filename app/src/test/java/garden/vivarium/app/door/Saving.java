package garden.vivarium.app.door;

import java.net.http.HttpResponse;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Collectors;

/**
 * People who save one thing after another while something is killed: reminders, sent as forms, and now and then a look at a tray,
 * as bench mode sends it. What is not answered is sent again, as they would. Afterwards what was acknowledged is looked for.
 */
final class Saving {

    private static final Duration PATIENCE = Duration.ofMinutes(2);
    private static final int PIECES = 24;
    private static final int A_LOOK_EVERY = 5;

    private final String name;
    private final Queue<String> reminders = new ConcurrentLinkedQueue<>();
    private final Queue<UUID> looks = new ConcurrentLinkedQueue<>();
    private final AtomicInteger askedAgain = new AtomicInteger();
    private final AtomicInteger unknown = new AtomicInteger();
    private final AtomicInteger signedOut = new AtomicInteger();
    private final List<Thread> people = new ArrayList<>();
    private final List<String> refused = new ArrayList<>();
    private volatile boolean over;
    private volatile long longest;

    /** What is saved begins with this, so that it is told from all else. */
    Saving(String name) {
        this.name = name;
    }

    /**
     * One more who saves.
     *
     * @param person signed in
     * @param trays codes of running batches of 24 pieces and more, to be looked at by this person; none for reminders alone
     * @param pause between two saves
     */
    void by(Visitor person, List<String> trays, Duration pause) {
        int n = people.size();
        person.get("/round");
        Thread saves = new Thread(() -> {
            for (int i = 0; !over; i++) {
                if (!trays.isEmpty() && i % A_LOOK_EVERY == 0) {
                    look(person, trays.get(i / A_LOOK_EVERY % trays.size()));
                } else {
                    remind(person, "%s %d-%05d".formatted(name, n, i));
                }
                rest(pause);
            }
        });
        people.add(saves);
        saves.start();
    }

    void end() throws InterruptedException {
        over = true;
        for (Thread t : people) {
            t.join();
        }
    }

    /** Saves one reminder, and says how that was answered. */
    static int remind(Visitor person, String what, UUID form) {
        return status(() -> person.post(
                "/round/reminders",
                "once",
                form.toString(),
                "what",
                what,
                "place",
                "Bench",
                "on",
                LocalDate.now(ZoneOffset.UTC).plusDays(30).toString()));
    }

    private void remind(Visitor person, String what) {
        UUID form = UUID.randomUUID();
        if (untilAnswered(() -> remind(person, what, form), 302)) {
            reminders.add(what);
        }
    }

    private void look(Visitor person, String tray) {
        UUID look = UUID.randomUUID();
        if (untilAnswered(
                () -> status(() ->
                        person.look(tray, look, LocalDate.now(ZoneOffset.UTC).toString(), PIECES)),
                200)) {
            looks.add(look);
        }
    }

    private boolean untilAnswered(Save save, int kept) {
        Instant begun = Instant.now();
        while (Duration.between(begun, Instant.now()).compareTo(PATIENCE) < 0) {
            int status = save.send();
            if (status == kept) {
                longest =
                        Math.max(longest, Duration.between(begun, Instant.now()).toMillis());
                return true;
            }
            if (status == 401) {
                signedOut.incrementAndGet();
                over = true;
                return false;
            }
            if (status == 409) {
                // Who took it is gone: whether it was kept is not known, and it was not said that it was.
                unknown.incrementAndGet();
                return false;
            }
            if (status == 400 || status == 403 || status == 404 || status == 422) {
                refused.add("answered " + status);
                return false;
            }
            askedAgain.incrementAndGet();
            rest(Duration.ofMillis(200));
        }
        // Who took it died, and for two minutes nobody else may: whether it was kept was not said.
        unknown.incrementAndGet();
        return false;
    }

    @FunctionalInterface
    private interface Save {
        int send();
    }

    @FunctionalInterface
    private interface Sends {
        HttpResponse<String> send();
    }

    /** The status of an answer, 401 where one is no longer signed in, 0 where nobody answered. */
    private static int status(Sends request) {
        try {
            HttpResponse<String> answer = request.send();
            return Visitor.ledTo(answer).startsWith("/sign-in") ? 401 : answer.statusCode();
        } catch (IllegalStateException gone) {
            return 0;
        }
    }

    private static void rest(Duration pause) {
        try {
            TimeUnit.MILLISECONDS.sleep(pause.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /**
     * What came of it.
     *
     * @param acknowledged saves
     * @param lost of those, not there
     * @param doubled there more than once
     * @param halves looks of which some pieces are there and others not
     * @param signedOut people who had to sign in again
     * @param refused saves that were refused: what should not be
     */
    record Outcome(
            int acknowledged,
            Collection<String> lost,
            Collection<String> doubled,
            int halves,
            int signedOut,
            List<String> refused) {}

    /** Looks for what was acknowledged, in the database that is left. */
    Outcome outcome(String database, String password) throws SQLException {
        Map<String, Integer> kept = new HashMap<>();
        int halves;
        try (Connection node = DriverManager.getConnection(database, "vivarium", password);
                Statement asks = node.createStatement()) {
            count(asks, "select what, count(*) from reminder where what like '" + name + "%' group by what", kept);
            count(asks, "select client_id, count(*) from batch_check group by client_id", kept);
            Map<String, Integer> torn = new HashMap<>();
            count(
                    asks,
                    "select c.client_id, count(r.id) from batch_check c left join reading r on r.check_id = c.id where not c.by_count group by c.client_id",
                    torn);
            halves = (int) looks.stream()
                    .filter(l -> torn.getOrDefault(l.toString(), 0) != PIECES)
                    .count();
        }
        List<String> acknowledged = new ArrayList<>(reminders);
        looks.forEach(l -> acknowledged.add(l.toString()));
        List<String> lost =
                acknowledged.stream().filter(n -> !kept.containsKey(n)).toList();
        List<String> doubled =
                kept.keySet().stream().filter(n -> kept.get(n) > 1).toList();
        return new Outcome(acknowledged.size(), lost, doubled, halves, signedOut.get(), List.copyOf(refused));
    }

    private static void count(Statement asks, String query, Map<String, Integer> into) throws SQLException {
        try (ResultSet rows = asks.executeQuery(query)) {
            while (rows.next()) {
                into.put(rows.getString(1), rows.getInt(2));
            }
        }
    }

    /** The outcome as one line. */
    String said(Outcome outcome) {
        return String.format(
                        Locale.ROOT,
                        "%,d saves acknowledged (%,d of them looks at %d pieces), asked again %,d times, longest wait %.1f s; lost %d, doubled %d, in part %d, not known %d, signed out %d, refused %d",
                        outcome.acknowledged(),
                        looks.size(),
                        PIECES,
                        askedAgain.get(),
                        longest / 1000.0,
                        outcome.lost().size(),
                        outcome.doubled().size(),
                        outcome.halves(),
                        unknown.get(),
                        outcome.signedOut(),
                        outcome.refused().size())
                + outcome.refused().stream()
                        .distinct()
                        .limit(5)
                        .map(r -> "\n  refused: " + r)
                        .collect(Collectors.joining());
    }
}
