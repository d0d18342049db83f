package garden.vivarium.app.platform;

import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Hashing of passwords, which is slow and takes much memory on purpose, in threads of its own: never more at once than leaves the machine
 * to others, and with a short queue. Who finds that full is told so at once, instead of everybody waiting.
 */
final class PooledHashing implements PasswordEncoder, AutoCloseable {

    private static final int QUEUE = 12;

    private final PasswordEncoder hashes;
    private final ExecutorService threads;

    PooledHashing(PasswordEncoder hashes) {
        this.hashes = hashes;
        int most = Math.max(1, Runtime.getRuntime().availableProcessors() - 1);
        this.threads =
                new ThreadPoolExecutor(most, most, 0, TimeUnit.SECONDS, new ArrayBlockingQueue<>(QUEUE), work -> {
                    Thread thread = new Thread(work, "hashing");
                    thread.setDaemon(true);
                    return thread;
                });
    }

    @Override
    public String encode(CharSequence password) {
        return done(() -> hashes.encode(password));
    }

    @Override
    public boolean matches(CharSequence password, String hash) {
        return done(() -> hashes.matches(password, hash));
    }

    @Override
    public boolean upgradeEncoding(String hash) {
        return hashes.upgradeEncoding(hash);
    }

    private <T> T done(Callable<T> work) {
        try {
            return threads.submit(work).get();
        } catch (RejectedExecutionException full) {
            throw new HashingBusy();
        } catch (ExecutionException e) {
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new HashingBusy();
        }
    }

    @Override
    public void close() {
        threads.shutdownNow();
    }
}
