package garden.vivarium.app.photo;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.door.Multipart;
import garden.vivarium.app.door.Visitor;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.people.Nurseries;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.springframework.boot.test.web.server.LocalServerPort;

/** Twelve people send the largest photographs that are taken, at once: by how much the process grows, and how long others wait for a page. */
@EnabledIfSystemProperty(named = "vivarium.bench", matches = "true|fuzz")
class PhotoBench extends AtANursery {

    private static final int AT_ONCE = 12;
    private static final long MOST_KB = 400_000;
    private static final long LONGEST_PAGE_MS = 1000;

    @LocalServerPort
    private int port;

    @Test
    void twelveOfFiftyMillionDots() throws Exception {
        measure("50 million dots, baseline", Pictures.file("jpeg", 8160, 6120));
    }

    @Test
    void twelveProgressiveOfTwentyFiveMillion() throws Exception {
        measure("25 million dots, progressive", Pictures.progressive(5000, 5000));
    }

    private void measure(String what, byte[] file) throws Exception {
        Nurseries.Made made = Nurseries.make(people);
        String tray = current.workingFor(
                        made.id(),
                        () -> Growing.tray(batches, guide, Growing.stockPlant(stock, "Fuchsia"), 4, 6, TODAY))
                .code();
        List<Visitor> senders =
                IntStream.range(0, AT_ONCE).mapToObj(i -> in(made)).toList();
        Visitor reader = in(made);
        reader.get("/benches");
        System.gc();
        long before = memoryKb();
        long most = before;
        List<Long> pages = new ArrayList<>();
        ExecutorService hands = Executors.newFixedThreadPool(AT_ONCE);
        try {
            List<Future<Integer>> sent = senders.stream()
                    .map(s -> hands.submit(() -> send(s, tray, file)))
                    .toList();
            while (sent.stream().anyMatch(s -> !s.isDone())) {
                long begun = System.nanoTime();
                assertThat(reader.get("/benches").statusCode()).isEqualTo(200);
                pages.add(Duration.ofNanos(System.nanoTime() - begun).toMillis());
                most = Math.max(most, memoryKb());
            }
            for (Future<Integer> s : sent) {
                assertThat(s.get()).isEqualTo(200);
            }
        } finally {
            hands.shutdownNow();
        }
        Collections.sort(pages);
        System.out.printf(
                "%d photographs at once, %s, %,d bytes each: grows by %,d MB; %d pages meanwhile, median %d ms, longest %d ms%n",
                AT_ONCE,
                what,
                file.length,
                (most - before) / 1000,
                pages.size(),
                pages.get(pages.size() / 2),
                pages.get(pages.size() - 1));
        assertThat(most - before).isLessThan(MOST_KB);
        assertThat(pages.get(pages.size() - 1)).isLessThan(LONGEST_PAGE_MS);
    }

    private Visitor in(Nurseries.Made made) {
        Visitor who = new Visitor(port);
        assertThat(who.signIn(made.signIn(), Nurseries.PASSWORD)).isEqualTo("/round");
        who.get("/stock");
        return who;
    }

    private static int send(Visitor who, String tray, byte[] file) {
        return who.send(
                        Multipart.of(
                                        who,
                                        "/batches/" + tray + "/photos/send",
                                        Map.of("clientId", UUID.randomUUID().toString(), "takenOn", TODAY.toString()),
                                        "p.jpg",
                                        "image/jpeg",
                                        file)
                                .header("Accept", "application/json"),
                        Duration.ofMinutes(2))
                .statusCode();
    }

    /** What of this process is in memory now. */
    private static long memoryKb() throws IOException {
        return Files.readAllLines(Path.of("/proc/self/status")).stream()
                .filter(l -> l.startsWith("VmRSS"))
                .mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")))
                .findFirst()
                .orElseThrow();
    }
}
