package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import java.time.Duration;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.security.concurrent.DelegatingSecurityContextRunnable;
import org.springframework.stereotype.Component;

/** Reads, keeps and takes back files one after the other behind the pages, which can be left meanwhile. */
@Component
class RecordsWork implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(RecordsWork.class);
    private static final Duration SILENT = Duration.ofMinutes(2);
    private static final int SECOND = 1_000;

    private final Records records;
    private final ImportsBack back;
    private final CurrentNursery nursery;
    private final Today today;
    // One at a time: two readings of one file at once would not see each other.
    private final ExecutorService thread = Executors.newSingleThreadExecutor(work -> {
        Thread t = new Thread(work, "records");
        t.setDaemon(true);
        return t;
    });
    private final Set<UUID> here = ConcurrentHashMap.newKeySet();

    RecordsWork(Records records, ImportsBack back, CurrentNursery nursery, Today today) {
        this.records = records;
        this.back = back;
        this.nursery = nursery;
        this.today = today;
    }

    /** Looks it through, and waits a moment for it. */
    void look(UUID id) {
        start(id, ImportState.READING, () -> records.look(id));
    }

    /** Keeps it all, and waits a moment for it. */
    void keep(UUID id) {
        start(id, ImportState.KEEPING, () -> records.kept(id, records.keep(id, progress(id))));
    }

    /** Takes it all back, and waits a moment for it. */
    void takeBack(UUID id) {
        String name = records.find(id).name();
        start(id, ImportState.TAKING_BACK, () -> {
            int stayed = back.takeBack(id, name, progress(id));
            records.at(
                    id,
                    ImportState.TAKEN_BACK,
                    stayed == 0 ? null : Messages.text("RecordsWork.stayed", "stayed", stayed));
        });
    }

    /** What was under way when the program stopped has stopped too: says so, once. */
    ImportView found(UUID id) {
        ImportView file = records.find(id);
        boolean silent = file.isBusy()
                && !here.contains(id)
                && records.find(id).changedAt().isBefore(today.now().minus(SILENT));
        if (!silent) {
            return file;
        }
        boolean made = records.isMade(id);
        records.at(
                id, made ? ImportState.KEPT : ImportState.ASKING, made ? null : Messages.text("RecordsWork.stopped"));
        return records.find(id);
    }

    private void start(UUID id, ImportState state, Runnable work) {
        ImportState before = records.find(id).state();
        records.at(id, state, null);
        here.add(id);
        UUID of = nursery.required();
        Future<?> running = thread.submit(new DelegatingSecurityContextRunnable(() -> nursery.workingFor(of, () -> {
            run(id, before, work);
            return null;
        })));
        await(running);
    }

    private void run(UUID id, ImportState before, Runnable work) {
        try {
            work.run();
        } catch (FileRefused refused) {
            records.at(id, ImportState.REFUSED, refused.getMessage());
        } catch (NotFound changed) {
            // Pressed twice, the second finds it kept.
            boolean made = records.isMade(id);
            records.at(
                    id, made ? ImportState.KEPT : ImportState.ASKING, made ? null : Messages.text("Records.changed"));
        } catch (RuntimeException | Error failed) {
            // Whatever it was ends this file alone: the next one has its turn.
            LOG.error("A file could not be worked on", failed);
            records.at(id, before.isBusy() ? ImportState.REFUSED : before, why(failed));
        } finally {
            here.remove(id);
        }
    }

    private static String why(Throwable failed) {
        return failed instanceof OutOfMemoryError
                ? Messages.text("RecordsWork.memory")
                : Messages.text("RecordsWork.failed");
    }

    private Records.Progress progress(UUID id) {
        long[] last = {System.nanoTime()};
        return (done, of) -> {
            if (System.nanoTime() - last[0] > TimeUnit.MILLISECONDS.toNanos(SECOND)) {
                last[0] = System.nanoTime();
                records.progress(id, 100 * done / Math.max(1, of));
            }
        };
    }

    /** A short file is done before its page is shown. */
    private static void await(Future<?> running) {
        try {
            running.get(3 * SECOND / 2, TimeUnit.MILLISECONDS);
        } catch (TimeoutException longer) {
            LOG.debug("A file takes longer than its page waits");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException e) {
            LOG.error("A file could not be worked on", e.getCause());
        }
    }

    @Override
    public void destroy() {
        thread.shutdownNow();
    }
}
