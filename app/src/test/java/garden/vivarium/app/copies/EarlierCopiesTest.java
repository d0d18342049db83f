package garden.vivarium.app.copies;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.AtANursery;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;

/**
 * Copies that earlier versions wrote are restored by this one. Each stands among the tests' files as it was written; none is ever
 * written anew.
 */
class EarlierCopiesTest extends AtANursery {

    @TempDir
    private Path folder;

    @Autowired
    private CopyReader reader;

    @Autowired
    private CopyWriter writer;

    @Test
    void theFirstFormatOfTables33IsRestored() throws IOException {
        Path file = folder.resolve("copy.zip");
        try (InputStream kept = getClass().getResourceAsStream("/copies/format-1-tables-33.zip")) {
            Files.copy(kept, file);
        }
        UUID there = reader.restore(file);

        BatchView tray = current.workingFor(there, () -> batches.find("26w18-A"));
        assertThat(tray.plant()).isEqualTo("Fuchsia ‘Skerry Lantern’");
        assertThat(tray.stuck()).isEqualTo(24);
        assertThat(tray.counts().ready()).isEqualTo(17);
        assertThat(tray.counts().lost()).isEqualTo(3);
        assertThat(current.workingFor(there, () -> book.looks("26w18-A").checks()))
                .hasSize(2);
        assertThat(current.workingFor(there, () -> evidence.record().ways())).hasSize(1);
    }

    /** How the file was made; run with {@code -Dcopies.write=FILE} by whoever brings in a new format. */
    @Test
    @EnabledIfSystemProperty(named = "copies.write", matches = ".+")
    void write() throws IOException {
        BatchView tray = in(() -> batches.make(Growing.newBatch(
                guide.protocol("tip-in-plugs").orElseThrow(), fuchsia, 24, TODAY.minusDays(45), TODAY.minusDays(45))));
        run(() -> batches.look(tray.code(), Growing.count(TODAY.minusDays(20), 9, 1)));
        run(() -> batches.look(tray.code(), Growing.count(TODAY.minusDays(5), 17, 3)));
        ByteArrayOutputStream to = new ByteArrayOutputStream();
        run(() -> writer.write(nursery, to));
        Files.write(Path.of(System.getProperty("copies.write")), to.toByteArray());
        assertThat(tray.code()).isEqualTo("26w18-A");
    }
}
