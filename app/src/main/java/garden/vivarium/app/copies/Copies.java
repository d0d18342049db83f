package garden.vivarium.app.copies;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NightlyWork;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** Copies that are made by themselves, one a night and nursery, beside the data; kept by age. */
@Service
class Copies implements NightlyWork {

    private static final Logger LOG = LoggerFactory.getLogger(Copies.class);
    private static final String SUFFIX = ".zip";

    private final CopyWriter writer;
    private final CurrentNursery nursery;
    private final Today today;
    private final Optional<Path> folder;

    Copies(CopyWriter writer, CurrentNursery nursery, Today today, @Value("${vivarium.copies:}") String folder) {
        this.writer = writer;
        this.nursery = nursery;
        this.today = today;
        this.folder = folder.isBlank() ? Optional.empty() : Optional.of(Path.of(folder));
    }

    /** A kept copy: of which day, and how many bytes. */
    record Kept(LocalDate day, long bytes) {}

    /** Whether copies are made by themselves here. */
    boolean areMade() {
        return folder.isPresent();
    }

    /** Those of the current nursery, the latest first. */
    List<Kept> kept() {
        return folder.map(f -> kept(f.resolve(nursery.required().toString()))).orElse(List.of());
    }

    private static List<Kept> kept(Path of) {
        if (!Files.isDirectory(of)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(of)) {
            List<Kept> kept = new ArrayList<>();
            for (Path f : files.toList()) {
                Optional<LocalDate> day = day(f);
                if (day.isPresent()) {
                    kept.add(new Kept(day.get(), Files.size(f)));
                }
            }
            kept.sort(Comparator.comparing(Kept::day).reversed());
            return kept;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Optional<LocalDate> day(Path file) {
        String name = file.getFileName().toString();
        if (!name.endsWith(SUFFIX)) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.parse(name.substring(0, name.length() - SUFFIX.length())));
        } catch (DateTimeParseException other) {
            return Optional.empty();
        }
    }

    /** The copy of a day, of the current nursery. */
    Path of(LocalDate day) {
        return folder.map(f -> f.resolve(nursery.required().toString()).resolve(day + SUFFIX))
                .filter(Files::isRegularFile)
                .orElseThrow(() -> new NotFound(Messages.text("Copies.no.copy.is.kept.of")));
    }

    /** Writes the nursery as it is now. */
    void write(OutputStream to) {
        writer.write(nursery.required(), to);
    }

    @Override
    public String nightly() {
        return "a copy of everything";
    }

    @Override
    public void tonight() {
        if (folder.isEmpty()) {
            return;
        }
        UUID id = nursery.required();
        try {
            Path of = Files.createDirectories(folder.get().resolve(id.toString()));
            Path half = of.resolve("half");
            try (OutputStream to = Files.newOutputStream(half)) {
                writer.write(id, to);
            }
            // A copy is there whole, or not at all.
            Files.move(
                    half,
                    of.resolve(today.date() + SUFFIX),
                    StandardCopyOption.ATOMIC_MOVE,
                    StandardCopyOption.REPLACE_EXISTING);
            // Of every nursery that ever was: what was erased goes from its copies by age, too.
            try (Stream<Path> all = Files.list(folder.get())) {
                for (Path each : all.filter(Files::isDirectory).toList()) {
                    forgetOld(each);
                }
            }
        } catch (IOException e) {
            LOG.error("No copy could be written: {}", e.getMessage());
            throw new UncheckedIOException(e);
        }
    }

    private void forgetOld(Path of) throws IOException {
        Set<LocalDate> days = kept(of).stream().map(Kept::day).collect(Collectors.toSet());
        Set<LocalDate> stay = KeptByAge.of(days, today.date());
        for (LocalDate day : days) {
            if (!stay.contains(day)) {
                Files.delete(of.resolve(day + SUFFIX));
            }
        }
    }
}
