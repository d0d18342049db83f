package garden.vivarium.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.OnDatabase;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;

/** Many at the door at once, with passwords hashed as dearly as in earnest. */
@OnDatabase
@TestPropertySource(properties = "vivarium.hashing.kib=16384")
class ManyAtTheDoorTest {

    @LocalServerPort
    private int port;

    @Autowired
    private People people;

    private Nurseries.Made nursery;

    @BeforeEach
    void aNursery() {
        nursery = Nurseries.make(people);
    }

    private Visitor visitor() {
        return new Visitor(port);
    }

    private Visitor inside() {
        Visitor who = visitor();
        assertThat(who.signIn(nursery.signIn(), Nurseries.PASSWORD)).isEqualTo("/round");
        return who;
    }

    @Test
    void manyWhoSignInAtOnceKeepNoPageWaitingAndSomeAreToldToComeInAMoment() throws Exception {
        int many = 60;
        ExecutorService hands = Executors.newFixedThreadPool(many);
        Visitor reader = inside();
        try {
            List<Future<String>> signing = IntStream.range(0, many)
                    .mapToObj(i -> hands.submit(() -> visitor().signIn("nobody" + UUID.randomUUID(), "guess")))
                    .toList();
            List<Long> pages = new ArrayList<>();
            while (signing.stream().anyMatch(s -> !s.isDone())) {
                long begun = System.nanoTime();
                assertThat(reader.get("/health").statusCode()).isEqualTo(200);
                pages.add(Duration.ofNanos(System.nanoTime() - begun).toMillis());
            }
            Map<String, Integer> ends = new TreeMap<>();
            for (Future<String> s : signing) {
                ends.merge(s.get(), 1, Integer::sum);
            }
            assertThat(ends.keySet()).isSubsetOf("/sign-in?wrong", "/sign-in?many");
            assertThat(ends).containsKeys("/sign-in?wrong", "/sign-in?many");
            assertThat(pages)
                    .as("not of a stopwatch: a queue of forty seconds shows")
                    .allMatch(ms -> ms < 5000);
        } finally {
            hands.shutdownNow();
        }
        assertThat(visitor().signIn(nursery.signIn(), Nurseries.PASSWORD)).isEqualTo("/round");
    }
}
