package garden.vivarium.app.copies;

import garden.vivarium.app.people.Leaving;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What the start command does with copies: it starts the application for this alone, and ends it. */
@Component
@ConditionalOnProperty("vivarium.command")
class CopyCommand implements ApplicationRunner {

    private final CopyWriter writer;
    private final CopyReader reader;
    private final Leaving leaving;
    private final JdbcClient database;
    private final ConfigurableApplicationContext context;
    private final String command;
    private final Path file;
    private final String name;

    CopyCommand(
            CopyWriter writer,
            CopyReader reader,
            Leaving leaving,
            JdbcClient database,
            ConfigurableApplicationContext context,
            @Value("${vivarium.command}") String command,
            @Value("${vivarium.command.file}") Path file,
            @Value("${vivarium.command.name:}") String name) {
        this.writer = writer;
        this.reader = reader;
        this.leaving = leaving;
        this.database = database;
        this.context = context;
        this.command = command;
        this.file = file;
        this.name = name;
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        int code;
        try {
            say(command.equals("backup") ? backup() : restore());
            code = 0;
        } catch (CopyRefused | IllegalArgumentException e) {
            say("refused: " + e.getMessage());
            code = 3;
        }
        int end = code;
        System.exit(SpringApplication.exit(context, () -> end));
    }

    /** The start command reads this, and nobody else. */
    private static void say(String words) {
        System.out.println("vivarium: " + words);
    }

    private record Named(UUID id, String name) {}

    private String backup() throws IOException {
        List<Named> all = database.sql("select id, name from nursery where not sample and (:name = '' or name = :name)")
                .param("name", name)
                .query((row, i) -> new Named(UUID.fromString(row.getString(1)), row.getString(2)))
                .list();
        if (all.size() != 1) {
            throw new CopyRefused(
                    all.isEmpty()
                            ? "there is no such nursery here"
                            : "there are several nurseries here; say which by its name");
        }
        Path half = file.resolveSibling(file.getFileName() + ".half");
        try (OutputStream to = Files.newOutputStream(half)) {
            writer.write(all.get(0).id(), to);
        }
        Files.move(half, file, StandardCopyOption.REPLACE_EXISTING);
        return "%s was written to %s, %,d bytes".formatted(all.get(0).name(), file, Files.size(file));
    }

    private String restore() {
        Contents contents = reader.contents(file);
        UUID nursery = reader.restore(file);
        leaving.owns(nursery, name);
        return "%s is here, as it was when the copy was written".formatted(contents.name());
    }
}
