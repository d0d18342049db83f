package garden.vivarium.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.OnDatabase;
import java.net.URI;
import java.net.http.HttpResponse;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jsoup.Connection.KeyVal;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.context.TestPropertySource;

/**
 * Eight people send the forms that the sample nursery shows, at the same moment: first the same form, as an impatient finger
 * does, which counts once; then each a form of their own, of which none may break. Some here, every one by the bench.
 */
@OnDatabase
// An application of its own: much is asked of it at once, and others would wait.
@Order(2)
@TestPropertySource(properties = "vivarium.tests=door")
class EveryFormTest {

    private static final int WRITERS = 8;
    private static final int PAGES_ALIKE = 1;
    private static final int FORMS_OF_A_TEST = 6;
    private static final int MOST_OF_THEM = 100;
    private static final Pattern ONE_OF_MANY = Pattern.compile(
            "[0-9a-f]{8}-[0-9a-f-]{27}|\\d\\dw\\d\\d-[A-Z]+(-\\d+)?|(?<=/)[A-Z]{2,}[-\\d][^/?]*|(?<=/)\\d+(?=/|$)");
    /** Ends the visit, or throws away what is looked at. */
    private static final Pattern LEFT_OUT = Pattern.compile(
            "/sign-out|/nurseries.*|/copies.*|/people.*|/door.*|/password.*|/welcome.*|/records.*|.*\\.(csv|zip|pdf|svg|ics|jpg|png|json|webmanifest|js)");
    /** Told anew by what is done, and so of no account. */
    private static final Set<String> NOT_COUNTED = Set.of("sent_form", "door_log", "nightly_work", "tally");

    @LocalServerPort
    private int port;

    @Autowired
    private People people;

    @Autowired
    private DemoNursery demo;

    @Autowired
    private JdbcClient database;

    private final List<String> faults = new ArrayList<>();
    private final ExecutorService hands = Executors.newFixedThreadPool(WRITERS);

    /** A form of a page, with what stands in it. */
    private record Sheet(String action, List<KeyVal> fields) {

        String kind() {
            return ONE_OF_MANY.matcher(action.replaceFirst("\\?.*", "")).replaceAll("*") + " "
                    + new TreeSet<>(fields.stream().map(KeyVal::key).toList());
        }

        boolean isSentOnce() {
            return fields.stream().anyMatch(f -> f.key().equals("once"));
        }

        String[] filled(UUID once) {
            return fields.stream()
                    .filter(f -> !f.key().equals("_csrf"))
                    .flatMap(f ->
                            java.util.stream.Stream.of(f.key(), f.key().equals("once") ? once.toString() : f.value()))
                    .toArray(String[]::new);
        }
    }

    @Test
    void eightHandsOnTheFormsNearestToTheRound() throws Exception {
        eightHandsOn(FORMS_OF_A_TEST);
    }

    @Test
    @EnabledIfSystemProperty(named = "vivarium.bench", matches = "fuzz")
    void eightHandsOnEveryForm() throws Exception {
        eightHandsOn(Integer.MAX_VALUE);
    }

    private void eightHandsOn(int most) throws Exception {
        Nurseries.Made nursery = Nurseries.make(people);
        demo.fill(nursery.id());
        List<Visitor> writers = new ArrayList<>();
        for (int i = 0; i < WRITERS; i++) {
            Visitor v = new Visitor(port);
            v.signIn(nursery.signIn(), Nurseries.PASSWORD);
            v.get("/round");
            writers.add(v);
        }
        List<Sheet> sheets = sheets(writers.get(0), most);
        assertThat(sheets)
                .as("the sample shows most of the forms there are")
                .hasSizeGreaterThanOrEqualTo(Math.min(most, MOST_OF_THEM));

        int countedOnce = 0;
        for (Sheet sheet : sheets) {
            Map<String, Long> before = rows(nursery.id());
            UUID once = UUID.randomUUID();
            List<HttpResponse<String>> same = atOnce(writers, sheet, once);
            Map<String, Long> after = rows(nursery.id());
            look(sheet, same);
            if (sheet.isSentOnce()) {
                Set<String> places = same.stream()
                        .map(Visitor::ledTo)
                        .filter(l -> !l.isEmpty())
                        .collect(Collectors.toSet());
                if (places.size() > 1) {
                    faults.add(sheet.kind() + ": one form led to " + places);
                }
                send(writers.get(0), sheet, UUID.randomUUID());
                Map<String, Long> then = rows(nursery.id());
                countedOnce += after.equals(then) ? 0 : 1;
                if (!after.equals(then)) {
                    after.forEach((table, n) -> {
                        long ofEight = n - before.getOrDefault(table, 0L);
                        long ofOne = then.getOrDefault(table, 0L) - n;
                        if (ofEight > Math.max(1, ofOne)) {
                            faults.add("%s: sent eight times it made %d in %s, sent once %d"
                                    .formatted(sheet.kind(), ofEight, table, ofOne));
                        }
                    });
                }
            }
            look(sheet, atOnce(writers, sheet, null));
        }
        System.out.printf(
                "eight at once on %d forms, of which %d add something each time: %d faults%n",
                sheets.size(), countedOnce, faults.size());
        assertThat(faults).isEmpty();
        assertThat(countedOnce).as("forms that add something each time").isPositive();
    }

    private void look(Sheet sheet, List<HttpResponse<String>> answers) {
        answers.stream()
                .filter(a -> a.statusCode() >= 500)
                .map(a -> sheet.kind() + ": " + a.statusCode())
                .distinct()
                .forEach(faults::add);
        answers.stream()
                .filter(a -> Visitor.ledTo(a).startsWith("/sign-in"))
                .map(a -> sheet.kind() + ": signed out")
                .distinct()
                .forEach(faults::add);
    }

    /** Eight send it at the same moment: the same one, or each one of their own. */
    private List<HttpResponse<String>> atOnce(List<Visitor> writers, Sheet sheet, UUID once)
            throws InterruptedException {
        CyclicBarrier start = new CyclicBarrier(WRITERS);
        List<Callable<HttpResponse<String>>> all = IntStream.range(0, WRITERS)
                .<Callable<HttpResponse<String>>>mapToObj(i -> () -> {
                    start.await();
                    return send(writers.get(i), sheet, once == null ? UUID.randomUUID() : once);
                })
                .toList();
        List<HttpResponse<String>> answers = new ArrayList<>();
        for (Future<HttpResponse<String>> answer : hands.invokeAll(all)) {
            try {
                answers.add(answer.get());
            } catch (ExecutionException e) {
                faults.add(sheet.kind() + ": " + e.getCause().getMessage());
            }
        }
        return answers;
    }

    private static HttpResponse<String> send(Visitor writer, Sheet sheet, UUID once) {
        return writer.post(sheet.action(), sheet.filled(once));
    }

    /** One of each kind of form, found by following links from the round. */
    private List<Sheet> sheets(Visitor reader, int most) {
        Map<String, Sheet> sheets = new LinkedHashMap<>();
        Map<String, Integer> seen = new HashMap<>();
        Deque<String> open = new ArrayDeque<>(List.of("/round"));
        while (!open.isEmpty() && sheets.size() < most) {
            HttpResponse<String> answer = reader.get(open.poll());
            if (answer.statusCode() != 200
                    || !answer.headers().firstValue("Content-Type").orElse("").startsWith("text/html")) {
                continue;
            }
            Document page = Jsoup.parse(answer.body(), answer.uri().toString());
            for (Element e : page.select("form[method=post]")) {
                FormElement form = (FormElement) e;
                String action = local(form.absUrl("action"));
                boolean plain = !form.attr("enctype").startsWith("multipart");
                if (plain && !LEFT_OUT.matcher(action.replaceFirst("\\?.*", "")).matches()) {
                    Sheet sheet = new Sheet(action, filled(form));
                    sheets.putIfAbsent(sheet.kind(), sheet);
                }
            }
            for (Element a : page.select("a[href]")) {
                String path = local(a.absUrl("href")).replaceFirst("#.*", "");
                String kind =
                        ONE_OF_MANY.matcher(path.replaceFirst("\\?.*", "")).replaceAll("*");
                boolean within = path.startsWith("/")
                        && !LEFT_OUT.matcher(path.replaceFirst("\\?.*", "")).matches();
                if (within && seen.merge(kind, 1, Integer::sum) <= PAGES_ALIKE) {
                    open.add(path);
                }
            }
        }
        return List.copyOf(sheets.values());
    }

    /** What a person would put where nothing stands and one has to say something. */
    private static List<KeyVal> filled(FormElement form) {
        for (Element field : form.select("input, textarea")) {
            if (field.val().isBlank() && !field.attr("type").matches("hidden|checkbox|radio|file|submit")) {
                field.val(
                        switch (field.attr("type")) {
                            case "date" -> OnDatabase.TODAY;
                            case "number" -> "2";
                            default -> field.attr("inputmode").isEmpty() ? "Slipway" : "2";
                        });
            }
        }
        return form.formData();
    }

    private String local(String address) {
        String root = URI.create("http://127.0.0.1:" + port).toString();
        return address.startsWith(root) ? address.substring(root.length()) : address;
    }

    /** How many rows of this nursery each table has: others write beside it. */
    private Map<String, Long> rows(UUID nursery) {
        List<String> tables = database.sql(
                        "select table_name from information_schema.columns where table_schema = database() and column_name = 'nursery_id'")
                .query(String.class)
                .list();
        String all = tables.stream()
                .filter(t -> !NOT_COUNTED.contains(t))
                .map(t -> "select '%s' as named, count(*) as rows_there from %s where nursery_id = '%s'"
                        .formatted(t, t, nursery))
                .collect(Collectors.joining(" union all "));
        Map<String, Long> rows = new HashMap<>();
        database.sql(all).query(row -> {
            rows.put(row.getString(1), row.getLong(2));
        });
        return rows;
    }
}
