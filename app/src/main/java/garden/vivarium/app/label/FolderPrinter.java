package garden.vivarium.app.label;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Today;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** A stand-in for a label printer: a folder that collects what was printed, one picture a label, a folder to each nursery. */
@Component
class FolderPrinter implements LabelPrinter {

    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("uuuuMMdd-HHmmss").withZone(ZoneOffset.UTC);

    private final Path folder;
    private final CurrentNursery nursery;
    private final Today today;
    private final AtomicInteger number = new AtomicInteger();

    FolderPrinter(
            @Value("${vivarium.printer:${vivarium.home:.vivarium}/printed}") Path folder,
            CurrentNursery nursery,
            Today today) {
        this.folder = folder;
        this.nursery = nursery;
        this.today = today;
    }

    @Override
    public void print(String name, byte[] picture) {
        Path own = folder.resolve(nursery.resolveCurrentTenantIdentifier().toString());
        String file = "%s-%04d-%s.png"
                .formatted(STAMP.format(today.now()), number.incrementAndGet(), name.replaceAll("[^\\w-]", "_"));
        try {
            Files.createDirectories(own);
            Files.write(own.resolve(file), picture);
        } catch (IOException e) {
            throw new UncheckedIOException("the printer folder cannot be written", e);
        }
    }

    @Override
    public String name() {
        return folder.getFileName().toString();
    }
}
