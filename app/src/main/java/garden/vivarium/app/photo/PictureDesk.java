package garden.vivarium.app.photo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/**
 * Reads photographs, which takes much memory while it lasts: two at a time at the most. Others wait their turn, without holding a connection to the database, and before their file is in memory.
 */
@Component
class PictureDesk {

    private static final int AT_A_TIME = 2;
    private static final int MOST_WAITING = 30;
    private static final int PATIENCE_S = 100;

    private final Semaphore turns = new Semaphore(AT_A_TIME, true);

    /** A file that is somewhere else until it is its turn. */
    @FunctionalInterface
    interface File {

        byte[] bytes() throws IOException;

        /** All of a file that is in memory already. */
        static File of(byte[] all) {
            return () -> all;
        }
    }

    /**
     * The picture in a file.
     *
     * @throws garden.vivarium.app.platform.InvalidField naming what is wrong with it
     * @throws TooManyWait if it did not come to its turn
     */
    Picture read(File file) {
        try {
            if (turns.getQueueLength() >= MOST_WAITING || !turns.tryAcquire(PATIENCE_S, TimeUnit.SECONDS)) {
                throw new TooManyWait();
            }
            try {
                return PictureReader.read(file.bytes());
            } finally {
                turns.release();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new TooManyWait();
        }
    }

    /** How many wait for their turn. */
    int waiting() {
        return turns.getQueueLength();
    }
}
