package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import garden.vivarium.app.people.AtANursery;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What is done once a night is done once, however many nodes ask at the same time. */
class NightsTest extends AtANursery {

    @Autowired
    private JdbcClient database;

    @Autowired
    private Today today;

    @SuppressWarnings("unchecked")
    private Nights node(NightlyWork work) {
        ObjectProvider<NightlyWork> works = Mockito.mock(ObjectProvider.class);
        Mockito.when(works.orderedStream()).thenAnswer(i -> Stream.of(work));
        return new Nights(works, database, current, today);
    }

    private NightlyWork counting(ConcurrentLinkedQueue<UUID> done, String name) {
        return new NightlyWork() {
            @Override
            public String nightly() {
                return name;
            }

            @Override
            public void tonight() {
                done.add(current.required());
            }
        };
    }

    @Test
    void ofSixNodesOneDoesIt() throws InterruptedException {
        ConcurrentLinkedQueue<UUID> done = new ConcurrentLinkedQueue<>();
        NightlyWork work = counting(done, "counted " + UUID.randomUUID());
        CountDownLatch go = new CountDownLatch(1);
        List<Thread> nodes = IntStream.range(0, 6)
                .mapToObj(i -> new Thread(() -> {
                    try {
                        go.await();
                        node(work).due();
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                }))
                .toList();
        nodes.forEach(Thread::start);
        go.countDown();
        for (Thread t : nodes) {
            t.join();
        }
        assertThat(done).filteredOn(nursery::equals).hasSize(1);
    }

    @Test
    void whatFailsHindersNothingElse() {
        NightlyWork fails = Mockito.mock(NightlyWork.class);
        Mockito.when(fails.nightly()).thenReturn("fails " + UUID.randomUUID());
        Mockito.doAnswer(call -> {
                    if (current.required().equals(nursery)) {
                        throw new IllegalStateException("no");
                    }
                    return null;
                })
                .when(fails)
                .tonight();
        assertThatCode(() -> node(fails).due()).doesNotThrowAnyException();
        Mockito.verify(fails, Mockito.atLeastOnce()).tonight();
    }
}
