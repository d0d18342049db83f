package garden.vivarium.app.platform;

import com.ibm.icu.text.MessageFormat;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.springframework.context.MessageSource;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.context.NoSuchMessageException;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.stereotype.Component;

/**
 * The one source of words: a folder of files for each language, one file a subject, in ICU's message format with its plurals and numbers. A
 * placeholder has the name by which Java fills it, or stands for the first, second… figure that a template gives. Templates reach it by
 * {@code #{key}} and as {@code @words}, Java by {@link #say}. Words are told in the reader's language, where it is one of those that ship.
 */
@Component("messageSource")
public class Messages implements MessageSource {

    /** ICU rounds a tie to even, all else here up: a part in a trillion more makes it no tie. */
    private static final double PAST_A_TIE = 1 + 1e-12;

    /** What is said outside a page of days, where the reader cannot see what year it is. */
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM uuuu", Locale.ENGLISH);

    /** What a format writes before a number below nothing; no hyphen of a word, a code or a day. */
    private static final Pattern HYPHEN_OF_A_NUMBER = Pattern.compile("(?<![\\p{L}\\p{N}])-(?=\\d)");

    /** Read once: they are files of the program. */
    private static final Map<Locale, Language> LANGUAGES = Language.shipped();

    private static final Messages ALL = new Messages();

    /** The languages that words are there in; English among them. */
    public Set<Locale> languages() {
        return LANGUAGES.keySet();
    }

    /** Of the reader of the page that is being made; English where nobody reads, and where it is none that ships. */
    private Language spoken() {
        Language english = LANGUAGES.get(Locale.ENGLISH);
        Locale asked = LocaleContextHolder.getLocale();
        return LANGUAGES.getOrDefault(
                asked, LANGUAGES.getOrDefault(Locale.forLanguageTag(asked.getLanguage()), english));
    }

    /**
     * The words of a key, its placeholders filled in.
     *
     * @param key as in the file
     * @param figures name and value by turns
     * @throws IllegalArgumentException if the file lacks the key, or a placeholder has no value
     */
    public String say(String key, Object... figures) {
        return fill(key, named(key, figures));
    }

    /**
     * The words of a key for whoever has no {@link Words} at hand, as a refusal; days carry their year.
     *
     * @param figures name and value by turns
     * @throws IllegalArgumentException if the file lacks the key, or a placeholder has no value
     */
    public static String text(String key, Object... figures) {
        return text(key, named(key, figures));
    }

    /** What growers call a constant, of the core or of the application: its words stand under its class and its name. */
    public static String name(Enum<?> constant) {
        return ALL.say(nameKey(constant));
    }

    /** Under which key: {@code LookKind.TUG}, {@code Quarantine.Pest.SCALE}. */
    static String nameKey(Enum<?> constant) {
        Class<?> of = constant.getDeclaringClass();
        Class<?> within = of.getEnclosingClass();
        return (within == null ? "" : within.getSimpleName() + ".") + of.getSimpleName() + "." + constant.name();
    }

    /** The same with the figures of a statement of the core. */
    public static String text(String key, Map<String, ?> figures) {
        Map<String, Object> said = new HashMap<>(figures);
        said.replaceAll((name, value) -> value instanceof LocalDate day
                ? DAY.format(day)
                : value instanceof Boolean yes ? (yes ? "yes" : "no") : value);
        return ALL.fill(key, said);
    }

    private static Map<String, Object> named(String key, Object... figures) {
        if (figures.length % 2 != 0) {
            throw new IllegalArgumentException(key + ": figures are names and values by turns");
        }
        Map<String, Object> named = new HashMap<>();
        for (int i = 0; i < figures.length; i += 2) {
            named.put((String) figures[i], figures[i + 1]);
        }
        return named;
    }

    /**
     * The words of a key, its placeholders filled in.
     *
     * @throws IllegalArgumentException if the file lacks the key, or a placeholder has no value
     */
    public String fill(String key, Map<String, ?> figures) {
        MessageFormat format = spoken().format(key);
        for (String name : format.getArgumentNames()) {
            if (figures.get(name) == null) {
                throw new IllegalArgumentException("%s: there is no value for {%s}".formatted(key, name));
            }
        }
        Map<String, Object> rounded = new HashMap<>(figures);
        rounded.replaceAll((name, value) -> value instanceof Double d && Math.rint(d) != d ? d * PAST_A_TIE : value);
        // A format of ICU is not safe for several threads at once, and a copy for each would be dear.
        String filled;
        synchronized (format) {
            filled = format.format(rounded);
        }
        return filled.indexOf('-') < 0
                ? filled
                : HYPHEN_OF_A_NUMBER.matcher(filled).replaceAll("−");
    }

    /** What is said of keys that begin so, by what follows, with its figures still to be filled in. */
    public Map<String, String> below(String prefix) {
        Map<String, String> said = new TreeMap<>();
        Stream.of(LANGUAGES.get(Locale.ENGLISH), spoken())
                .forEach(language -> language.keys().stream()
                        .filter(k -> k.startsWith(prefix))
                        .forEach(k -> said.put(k.substring(prefix.length()), language.pattern(k))));
        return said;
    }

    /** Whether the file has words for the key. */
    public boolean has(String key) {
        return spoken().has(key);
    }

    @Override
    public String getMessage(String code, Object[] args, String otherwise, Locale locale) {
        return has(code) ? getMessage(code, args, locale) : otherwise;
    }

    @Override
    public String getMessage(String code, Object[] args, Locale locale) {
        if (!has(code)) {
            throw new NoSuchMessageException(code, locale);
        }
        if (args == null || args.length == 0) {
            return spoken().plain(code);
        }
        Map<String, Object> numbered = new HashMap<>();
        for (int i = 0; i < args.length; i++) {
            // A template shows nothing for what is not there.
            numbered.put(String.valueOf(i), args[i] == null ? "" : args[i]);
        }
        return fill(code, numbered);
    }

    @Override
    public String getMessage(MessageSourceResolvable message, Locale locale) {
        if (message.getCodes() != null) {
            for (String code : message.getCodes()) {
                if (has(code)) {
                    return getMessage(code, message.getArguments(), locale);
                }
            }
        }
        if (message.getDefaultMessage() != null) {
            return message.getDefaultMessage();
        }
        throw new NoSuchMessageException(Arrays.toString(message.getCodes()), locale);
    }
}
