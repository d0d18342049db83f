package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class AheadTest {

    private static final UUID NURSERY = UUID.randomUUID();

    private final CurrentNursery nursery = new CurrentNursery();
    private final Ahead ahead = new Ahead(nursery, 50);
    private final List<String> done = new CopyOnWriteArrayList<>();
    private final CountDownLatch go = new CountDownLatch(1);
    private final CountDownLatch last = new CountDownLatch(1);

    @AfterEach
    void stop() {
        ahead.stop();
    }

    private void soon(String what, Runnable work) {
        nursery.workingFor(NURSERY, () -> {
            ahead.soon(what, work);
            return null;
        });
    }

    private void waits() {
        try {
            assertThat(go.await(20, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Done for the nursery of whoever asked, once however often it was asked for meanwhile, and whatever fails before it. */
    @Test
    void whatIsAskedForTwiceIsDoneOnceAndAFaultEndsNothing() throws InterruptedException {
        soon("first", this::waits);
        soon("fault", () -> {
            throw new IllegalStateException("gone");
        });
        soon("row", () -> done.add("row for " + nursery.id().equals(Optional.of(NURSERY))));
        soon("row", () -> done.add("row again"));
        soon("last", last::countDown);
        assertThat(done).isEmpty();
        go.countDown();

        assertThat(last.await(20, TimeUnit.SECONDS)).isTrue();
        assertThat(done).containsExactly("row for true");
        assertThat(nursery.id()).isEmpty();
    }

    /** Whoever brings in ten years of records does not fill the memory with what nobody waits for. */
    @Test
    void noMoreWaitsThanAPageWouldNotComeToFirst() throws InterruptedException {
        soon("first", this::waits);
        for (int i = 0; i < 500; i++) {
            int number = i;
            soon("row " + i, () -> done.add("row " + number));
        }
        go.countDown();
        do {
            soon("last", last::countDown);
        } while (!last.await(20, TimeUnit.MILLISECONDS));

        assertThat(done).hasSizeBetween(49, 50).startsWith("row 0", "row 1");
    }
}
