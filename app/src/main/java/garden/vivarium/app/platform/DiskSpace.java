package garden.vivarium.app.platform;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** How much room the disk has on which this installation's data lies. */
@Component
public class DiskSpace {

    /** With less than this a database can neither write on nor start: its own log grows by as much at a time. */
    private static final long LEAST = 16L << 20;

    private static final long MEGABYTE = 1_000_000;

    private final Path data;

    DiskSpace(@Value("${vivarium.home:.}") String home) {
        data = Path.of(home).toAbsolutePath().normalize();
    }

    /** Whether there is too little of it for anything to be kept; no where it cannot be told. */
    boolean isFull() {
        try {
            return free() < LEAST;
        } catch (IOException unknown) {
            return false;
        }
    }

    /** How much is free, and where. */
    String said() {
        try {
            return Messages.text(
                    "DiskSpace.free",
                    "free",
                    String.format(Locale.UK, "%,d", free() / MEGABYTE),
                    "least",
                    LEAST / MEGABYTE,
                    "where",
                    data);
        } catch (IOException unknown) {
            return Messages.text("DiskSpace.unknown", "where", data);
        }
    }

    private long free() throws IOException {
        return Files.getFileStore(data).getUsableSpace();
    }
}
