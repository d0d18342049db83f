package garden.vivarium.app.platform;

import garden.vivarium.core.Statement;
import garden.vivarium.core.measure.Prose;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What will be said once it is known to whom: a message with its figures. What is kept in memory for several readers holds
 * sentences, never words.
 *
 * @param key of the message
 * @param figures its figures, each under the name that the message uses
 */
public record Sentence(String key, Map<String, Object> figures) {

    public Sentence {
        figures = Map.copyOf(figures);
    }

    /**
     * A message with its figures. What is not there, null or an empty optional, is {@code none} to the message.
     *
     * @param figures name and value by turns
     */
    public static Sentence of(String key, Object... figures) {
        Map<String, Object> named = new LinkedHashMap<>();
        for (int i = 0; i < figures.length; i += 2) {
            named.put((String) figures[i], figures[i + 1] == null ? Optional.empty() : figures[i + 1]);
        }
        return new Sentence(key, named);
    }

    /** What the core says. */
    public static Sentence of(Statement statement) {
        return new Sentence(statement.rule().key(), statement.figures());
    }

    /** What the guide says. */
    public static Sentence of(Prose prose) {
        return of("sentence.prose", "prose", prose);
    }

    /** What a person wrote. */
    public static Sentence written(String words) {
        return of("sentence.prose", "prose", words);
    }

    /** How long ago a day is, or how far ahead. */
    public record Ago(LocalDate day) {}

    /** A figure in words that begins with a capital, or with none. */
    public record Cased(Object figure, boolean capital) {

        public static Cased upper(Object figure) {
            return new Cased(figure, true);
        }

        public static Cased lower(Object figure) {
            return new Cased(figure, false);
        }
    }
}
