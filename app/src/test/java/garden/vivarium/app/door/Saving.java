package garden.vivarium.app.door;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
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
import java.util.stream.IntStream;

/**
 * People who save one thing after another while something is killed: reminders, sent as forms, and now and then a look at a tray,
 * as bench mode sends it. What is not answered is sent again, as they would. Afterwards what was acknowledged is looked for.
 */
final class Saving {

    private static final Duration PATIENCE = Duration.ofMinutes(2);
    private static final int PIECES = 24;
    private static final int A_LOOK_EVERY = 2;
    private static final int BATCHES = 3;

    private final String name;
    private final Queue<String> reminders = new ConcurrentLinkedQueue<>();
    private final Queue<UUID> looks = new ConcurrentLinkedQueue<>();
    private final Queue<String> photographs = new ConcurrentLinkedQueue<>();
    private final Queue<String> files = new ConcurrentLinkedQueue<>();
    private final Queue<String> more = new ConcurrentLinkedQueue<>();
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
        saves(() -> {
            for (int i = 0; !over; i++) {
                if (!trays.isEmpty() && i % A_LOOK_EVERY == 0) {
                    look(person, trays.get(i / A_LOOK_EVERY % trays.size()));
                } else {
                    remind(person, "%s %d-%05d".formatted(name, n, i));
                }
                rest(pause);
            }
        });
    }

    /** One more who takes photographs of trays. */
    void photographsBy(Visitor person, List<String> trays, byte[] picture, Duration pause) {
        saves(() -> {
            person.get("/stock");
            for (int i = 0; !over; i++) {
                String id = UUID.randomUUID().toString();
                String path = "/batches/" + trays.get(i % trays.size()) + "/photos/send";
                Map<String, String> fields = Map.of(
                        "clientId", id, "takenOn", LocalDate.now(ZoneOffset.UTC).toString());
                if (untilAnswered(
                        () -> status(
                                person,
                                () -> person.send(Multipart.of(person, path, fields, "p.jpg", "image/jpeg", picture)
                                        .header("Accept", "application/json"))),
                        200)) {
                    photographs.add(id);
                }
                rest(pause);
            }
        });
    }

    /** One more who brings files in, each of three batches, and looks whether they are kept. */
    void importsBy(Visitor person, Duration pause) {
        saves(() -> {
            for (int i = 0; !over; i++) {
                bringIn(person, "%s file %05d".formatted(name, i));
                rest(pause);
            }
        });
    }

    private void bringIn(Visitor person, String file) {
        StringBuilder lines =
                new StringBuilder("batch,plant,group,method,medium,stuck_on,stuck,looked_on,ready,lost\n");
        for (int b = 1; b <= BATCHES; b++) {
            lines.append(
                    "%s %d,Sage ‘Of A File’,soft,tip cutting,water,2025-05-01,20,2025-05-25,17,3\n".formatted(file, b));
        }
        byte[] bytes = lines.toString().getBytes(StandardCharsets.UTF_8);
        Instant begun = Instant.now();
        String page = "";
        while (!over && Duration.between(begun, Instant.now()).compareTo(PATIENCE) < 0) {
            try {
                if (page.isEmpty()) {
                    person.get("/stock");
                    page = Visitor.ledTo(person.send(
                            Multipart.of(person, "/records", Map.of("kind", "history"), "f.csv", "text/csv", bytes)
                                    .header("Accept", "text/html")));
                } else {
                    String shown = person.get(page).body();
                    if (shown.contains("part of your record now")) {
                        files.add(file);
                        return;
                    }
                    if (shown.contains(page + "/keep")) {
                        person.post(page + "/keep");
                    }
                }
            } catch (IllegalStateException gone) {
                askedAgain.incrementAndGet();
            }
            rest(Duration.ofMillis(200));
        }
    }

    private void saves(Runnable work) {
        Thread saves = new Thread(work);
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
        return status(
                person,
                () -> person.post(
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
                () -> status(
                        person,
                        () -> person.look(
                                tray, look, LocalDate.now(ZoneOffset.UTC).toString(), PIECES)),
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

    /** The status line of an answer, 401 where one is no longer signed in, 0 where nobody answered. */
    private static int status(Visitor person, Sends request) {
        try {
            HttpResponse<String> answer = request.send();
            return Visitor.ledTo(answer).startsWith("/sign-in") ? 401 : answer.statusCode();
        } catch (IllegalStateException gone) {
            // An answer that broke off counts by how it began: there are clients that look no further.
            if (person.statusLine() != 0) {
                System.out.println("broke off after " + person.statusLine() + ": " + gone);
            }
            return person.statusLine();
        }
    }

    private static void rest(Duration pause) {
        try {
            TimeUnit.MILLISECONDS.sleep(pause.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Ids of what another client holds to be kept. */
    void heldToBeKept(Collection<String> ids) {
        more.addAll(ids);
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
            Map<String, Integer> whole = new HashMap<>();
            count(
                    asks,
                    "select c.client_id, count(r.id) from batch_check c left join reading r on r.check_id = c.id where not c.by_count group by c.client_id",
                    torn);
            count(
                    asks,
                    "select p.client_id, count(f.id) from photo p left join photo_file f on f.photo_id = p.id group by p.client_id",
                    kept);
            String brought = "from batch where old_code like '" + name + " file%' group by 1";
            count(asks, "select old_code, count(*) " + brought, kept);
            count(asks, "select left(old_code, char_length(old_code) - 2), count(*) " + brought, whole);
            halves = (int) looks.stream()
                    .filter(l -> torn.getOrDefault(l.toString(), 0) != PIECES)
                    .count();
            halves += (int) whole.values().stream().filter(n -> n != BATCHES).count();
            halves += (int) photographs.stream()
                    .filter(p -> kept.getOrDefault(p, 1) == 0)
                    .count();
        }
        List<String> acknowledged = new ArrayList<>(reminders);
        looks.forEach(l -> acknowledged.add(l.toString()));
        acknowledged.addAll(photographs);
        files.forEach(f -> IntStream.rangeClosed(1, BATCHES).forEach(b -> acknowledged.add(f + " " + b)));
        acknowledged.addAll(more);
        List<String> lost =
                acknowledged.stream().filter(n -> !kept.containsKey(n)).toList();
        List<String> doubled =
                kept.keySet().stream().filter(n -> kept.get(n) > 1).toList();
        lost.forEach(id -> System.out.println("lost: " + kindOf(id) + " " + id));
        return new Outcome(acknowledged.size(), lost, doubled, halves, signedOut.get(), List.copyOf(refused));
    }

    private String kindOf(String id) {
        if (reminders.contains(id)) {
            return "reminder";
        }
        if (looks.stream().anyMatch(l -> l.toString().equals(id))) {
            return "look";
        }
        return photographs.contains(id) ? "photograph" : more.contains(id) ? "by the outbox" : "file";
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
                        "%,d saves acknowledged (%,d looks at %d pieces, %,d photographs, %,d files of %d batches, %,d looks and photographs by the outbox), asked again %,d times, longest wait %.1f s; lost %d, doubled %d, in part %d, not known %d, signed out %d, refused %d",
                        outcome.acknowledged(),
                        looks.size(),
                        PIECES,
                        photographs.size(),
                        files.size(),
                        BATCHES,
                        more.size(),
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
