package garden.vivarium.app.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import garden.vivarium.app.platform.Brake;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.core.timing.Hemisphere;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;

/** One first person, however many press at once; and none without the code. */
@OnDatabase
class FirstStartRaceTest {

    private static final String CODE = "K7QF-M2XP";

    @Autowired
    private Brake brake;

    @Autowired
    private JdbcClient database;

    @Autowired
    private TransactionTemplate transaction;

    private final People people = mock(People.class);
    private final AtomicInteger opened = new AtomicInteger();

    @Test
    void ofEightWhoPressAtOnceOneIsFirst() throws Exception {
        FirstStart start = start();
        ExecutorService hands = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Boolean>> all = IntStream.range(0, 8)
                    .<Callable<Boolean>>mapToObj(i -> () -> start.open(form(CODE), "192.0.2." + i))
                    .toList();
            List<Boolean> first = new ArrayList<>();
            for (Future<Boolean> done : hands.invokeAll(all)) {
                first.add(done.get());
            }
            assertThat(first).containsOnlyOnce(true).hasSize(8);
        } finally {
            hands.shutdownNow();
        }
        assertThat(opened).hasValue(1);
    }

    @Test
    void whoeverGuessesTheCodeIsSlowedDown() {
        FirstStart start = start();
        for (int i = 0; i < 5; i++) {
            assertThatThrownBy(() -> start.open(form("AAAA-AAAA"), "198.51.100.7"))
                    .isInstanceOf(InvalidField.class)
                    .hasMessageContaining("start command prints it");
        }
        assertThatThrownBy(() -> start.open(form(CODE), "198.51.100.7"))
                .isInstanceOfSatisfying(
                        InvalidField.class, p -> assertThat(p.field()).isEqualTo("code"))
                .hasMessageContaining("Try again in 20 seconds");
        assertThat(opened).hasValue(0);
        database.sql("update sign_in_attempt set last_at = last_at - interval 20 second where who = ?")
                .param("first:198.51.100.7")
                .update();
        assertThat(start.open(form(CODE), "198.51.100.7"))
                .as("and no longer than was said")
                .isTrue();
    }

    /** As on an installation where nobody is yet; opening a nursery takes a moment, and then somebody is there. */
    private FirstStart start() {
        when(people.isNobodyHere()).thenAnswer(call -> opened.get() == 0);
        doAnswer(call -> {
                    Thread.sleep(50);
                    opened.incrementAndGet();
                    return UUID.randomUUID();
                })
                .when(people)
                .open(any());
        return new FirstStart(people, new FirstCode(people, CODE), brake, database, transaction);
    }

    private static FirstStartForm form(String code) {
        return new FirstStartForm(
                code, "Gull Yard", "UTC", Hemisphere.NORTH, null, "Tern", "tern", "sand eels at dawn");
    }
}
