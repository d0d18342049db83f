package garden.vivarium.app.copies;

import java.io.FilterReader;
import java.io.IOException;
import java.io.Reader;

/**
 * Text of a table, of which no row may be longer than so much, nor all of it: whoever reads it makes room for a row before anybody can look at it, and a
 * packed file of a megabyte may hold one of a thousand.
 */
final class RowBounds extends FilterReader {

    private final String file;
    private final long longestRow;
    private final long longest;
    private long all;
    private long before;
    private long rows;

    RowBounds(Reader text, String file, long longestRow, long longest) {
        super(text);
        this.file = file;
        this.longestRow = longestRow;
        this.longest = longest;
    }

    /** A row was read, and the next one begins. */
    void nextRow() {
        before = all;
        rows++;
    }

    @Override
    public int read() throws IOException {
        int c = super.read();
        count(c < 0 ? 0 : 1);
        return c;
    }

    @Override
    public int read(char[] into, int from, int length) throws IOException {
        int n = super.read(into, from, length);
        count(Math.max(0, n));
        return n;
    }

    private void count(int n) {
        all += n;
        if (all - before > longestRow) {
            throw new CopyRefused("%s, line %d: a row may have %d million characters; nothing was restored."
                    .formatted(file, rows + 1, longestRow / 1_000_000));
        }
        if (all > longest) {
            throw new CopyRefused("%s is larger than the %d million characters that are read; nothing was restored."
                    .formatted(file, longest / 1_000_000));
        }
    }
}
