package garden.vivarium.app.platform;

import jakarta.annotation.PreDestroy;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Reckons what the next page will ask for while whoever saved something walks on. Nothing hangs on it: what it has not done, or
 * could not do, the page does.
 */
@Component
public class Ahead {

    private static final Logger LOG = LoggerFactory.getLogger(Ahead.class);

    /** The page that answers comes first, and one that follows at once does its own part; what is told meanwhile is reckoned with it. */
    private static final long A_WHILE_MS = 150;

    private final CurrentNursery nursery;
    private final int mostWaiting;
    private final Set<Work> waiting = ConcurrentHashMap.newKeySet();
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread made = new Thread(work, "ahead");
        made.setDaemon(true);
        return made;
    });

    /**
     * A worker for all nurseries.
     *
     * @param mostWaiting with so much waiting, pages are as likely to come to it first; 0 for nothing ahead
     */
    Ahead(CurrentNursery nursery, @Value("${vivarium.ahead.most:50}") int mostWaiting) {
        this.nursery = nursery;
        this.mostWaiting = mostWaiting;
    }

    private record Work(UUID nursery, String what) {}

    /**
     * Does work for the nursery of whoever asks, soon, on another thread and in no transaction of this one.
     *
     * @param what told apart by: while it waits, the same is not asked for twice
     */
    public void soon(String what, Runnable work) {
        soon(nursery.required(), what, work);
    }

    /** The same for a nursery, whoever asks. */
    public void soon(UUID of, String what, Runnable work) {
        Work asked = new Work(of, what);
        if (waiting.size() < mostWaiting && waiting.add(asked)) {
            // Nobody waits for it; what fails is said where it runs.
            var unused = thread.schedule(() -> run(asked, work), A_WHILE_MS, TimeUnit.MILLISECONDS);
        }
    }

    private void run(Work asked, Runnable work) {
        // What is told from here on is not in it, and may be asked for again.
        waiting.remove(asked);
        try {
            nursery.workingFor(asked.nursery(), () -> {
                work.run();
                return null;
            });
        } catch (RuntimeException e) {
            LOG.debug("{} was not reckoned ahead: {}", asked.what(), e.getMessage());
        }
    }

    @PreDestroy
    void stop() {
        thread.shutdownNow();
    }
}
