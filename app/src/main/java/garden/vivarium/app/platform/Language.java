package garden.vivarium.app.platform;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;

/** The words of one language: all files of {@code messages/TAG/}, one a subject. What it lacks is said in English. */
final class Language {

    private static final Pattern FOLDER = Pattern.compile("/messages/([^/]+)/[^/]+\\.properties$");

    private final ULocale locale;
    private final Optional<Language> otherwise;
    private final Map<String, String> patterns = new HashMap<>();
    private final Map<String, MessageFormat> formats = new ConcurrentHashMap<>();
    private final Map<String, String> plain = new ConcurrentHashMap<>();

    private Language(Locale locale, Optional<Language> otherwise) {
        // English here is that of Britain.
        this.locale = locale.equals(Locale.ENGLISH) ? ULocale.UK : ULocale.forLocale(locale);
        this.otherwise = otherwise;
    }

    /** All whose folders are there. */
    static Map<Locale, Language> shipped() {
        Language english = new Language(Locale.ENGLISH, Optional.empty());
        Map<Locale, Language> shipped = new HashMap<>(Map.of(Locale.ENGLISH, english));
        try {
            for (Resource file :
                    new PathMatchingResourcePatternResolver().getResources("classpath*:messages/*/*.properties")) {
                Matcher folder = FOLDER.matcher(file.getURL().getPath());
                if (folder.find()) {
                    shipped.computeIfAbsent(
                                    Locale.forLanguageTag(folder.group(1)), l -> new Language(l, Optional.of(english)))
                            .read(file);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException("the words of pages cannot be read", e);
        }
        return Map.copyOf(shipped);
    }

    private void read(Resource file) throws IOException {
        Properties read = new Properties();
        try (Reader reader = new InputStreamReader(file.getInputStream(), StandardCharsets.UTF_8)) {
            read.load(reader);
        }
        for (String key : read.stringPropertyNames()) {
            if (patterns.put(key, read.getProperty(key)) != null) {
                throw new IllegalStateException(
                        key + " stands in two files, " + file.getFilename() + " is one of them");
            }
        }
    }

    boolean has(String key) {
        return patterns.containsKey(key) || otherwise.filter(o -> o.has(key)).isPresent();
    }

    Set<String> keys() {
        return patterns.keySet();
    }

    String pattern(String key) {
        return patterns.get(key);
    }

    /**
     * The form of a message.
     *
     * @throws IllegalArgumentException if there is none of the key
     */
    MessageFormat format(String key) {
        if (!patterns.containsKey(key)) {
            return otherwise
                    .orElseThrow(() -> new IllegalArgumentException("the messages lack " + key))
                    .format(key);
        }
        return formats.computeIfAbsent(key, k -> new MessageFormat(patterns.get(k), locale));
    }

    /** What is said of a key that has no figures; made once. */
    String plain(String key) {
        return plain.computeIfAbsent(key, k -> {
            MessageFormat format = format(k);
            if (!format.getArgumentNames().isEmpty()) {
                throw new IllegalArgumentException(
                        "%s: there is no value for %s".formatted(k, format.getArgumentNames()));
            }
            return format.format(Map.of());
        });
    }
}
