package garden.vivarium.app.platform;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Properties;
import java.util.stream.Stream;
import org.junit.platform.launcher.LauncherSession;
import org.junit.platform.launcher.LauncherSessionListener;

/**
 * A language that nobody speaks, made from English before any test begins: every letter has an accent, and all is a third longer. It is a
 * folder of messages and nothing else, as any other language would be; what stands on a page without accents came from no message.
 */
public final class PseudoLanguage implements LauncherSessionListener {

    /** How a browser asks for it. */
    public static final String TAG = "en-XA";

    private static final int WORD = 6;

    private static final String PLAIN = "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ";
    private static final String ACCENTED = "àƀçđéƒĝĥîĵķļɱñöþɋŕšţûṽŵẋýžÀƁÇĐÉƑĜĤÎĴĶĻṀÑÖÞɊŔŠŢÛṼŴẊÝŽ";

    @Override
    public void launcherSessionOpened(LauncherSession session) {
        try {
            Path root = Path.of(Messages.class.getResource("/messages/en").toURI());
            Path folder = Path.of(PseudoLanguage.class.getResource("/").toURI()).resolve("messages/" + TAG);
            Files.createDirectories(folder);
            try (Stream<Path> files = Files.list(root)) {
                for (Path file : files.toList()) {
                    translate(file, folder.resolve(file.getFileName().toString()));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException("the language that nobody speaks cannot be written", e);
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void translate(Path from, Path to) throws IOException {
        Properties english = new Properties();
        try (Reader reader = Files.newBufferedReader(from)) {
            english.load(reader);
        }
        Properties pseudo = new Properties();
        english.forEach((key, pattern) -> pseudo.setProperty((String) key, of((String) pattern)));
        try (Writer writer = Files.newBufferedWriter(to)) {
            pseudo.store(writer, null);
        }
    }

    /** Accents on what is said; names of figures, choices, marks of emphasis and signs by their number stay. */
    static String of(String pattern) {
        StringBuilder said = new StringBuilder();
        int depth = 0;
        int letters = 0;
        for (int i = 0; i < pattern.length(); i++) {
            char c = pattern.charAt(i);
            if (c == '{') {
                depth++;
            } else if (c == '}') {
                depth--;
            }
            int skipped = depth % 2 == 0 ? markup(pattern, i) : 0;
            if (skipped > 0) {
                said.append(pattern, i, i + skipped);
                i += skipped - 1;
            } else if (depth % 2 == 0 && PLAIN.indexOf(c) >= 0) {
                said.append(ACCENTED.charAt(PLAIN.indexOf(c)));
                letters++;
            } else {
                said.append(c);
            }
        }
        return letters < 3 ? said.toString() : said + "·" + longer(letters / 3);
    }

    /** So many letters more, in words as long as words are. */
    private static String longer(int letters) {
        StringBuilder more = new StringBuilder();
        for (int i = 0; i < letters; i++) {
            more.append(i > 0 && i % WORD == 0 ? " " : "").append('é');
        }
        return more.toString();
    }

    /** How long the mark of emphasis or the sign by its number is that begins there; 0 where none does. */
    private static int markup(String pattern, int at) {
        char end = pattern.charAt(at) == '<' ? '>' : pattern.charAt(at) == '&' ? ';' : 0;
        int close = end == 0 ? -1 : pattern.indexOf(end, at);
        return close < 0 || pattern.substring(at, close).contains(" ") && end == ';' ? 0 : close - at + 1;
    }
}
