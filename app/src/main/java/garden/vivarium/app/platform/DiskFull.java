package garden.vivarium.app.platform;

import java.io.IOException;
import java.sql.SQLException;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** By what a disk without room is known, that of the database or of the application. */
public final class DiskFull {

    /** Of MariaDB: an error writing a file, disk full, no room for a sort, and a table that cannot grow. */
    private static final Set<Integer> CODES = Set.of(3, 1021, 1026, 1114);

    /** What the operating system says, with or without its number. */
    private static final Pattern SAID = Pattern.compile(
            "No space left on device|Disk quota exceeded|err(no|code): (28|122)\\b", Pattern.CASE_INSENSITIVE);

    private DiskFull() {}

    /** Whether a failure comes of a disk that is full. */
    public static boolean isCauseOf(Throwable failure) {
        return Stream.iterate(failure, f -> f != null, Throwable::getCause)
                .limit(20)
                .anyMatch(f -> (f instanceof SQLException s && (CODES.contains(s.getErrorCode()) || says(s)))
                        || (f instanceof IOException && says(f)));
    }

    private static boolean says(Throwable f) {
        return f.getMessage() != null && SAID.matcher(f.getMessage()).find();
    }
}
