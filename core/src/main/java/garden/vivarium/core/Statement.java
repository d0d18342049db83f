package garden.vivarium.core;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What a rule says, with its figures: numbers, days, names of a nursery's own and constants of the core's enumerations, by name.
 *
 * @param rule the rule
 * @param figures its figures, each under the name that the words use; none is null
 */
public record Statement(Rule rule, Map<String, Object> figures) {

    public Statement {
        figures = Map.copyOf(figures);
    }

    /**
     * A rule with its figures.
     *
     * @param figures name and value by turns
     * @throws IllegalArgumentException if a name has no value
     */
    public static Statement of(Rule rule, Object... figures) {
        if (figures.length % 2 != 0) {
            throw new IllegalArgumentException(rule.key() + ": figures are names and values by turns");
        }
        Map<String, Object> named = new LinkedHashMap<>();
        for (int i = 0; i < figures.length; i += 2) {
            named.put((String) figures[i], figures[i + 1]);
        }
        return new Statement(rule, named);
    }

    /**
     * A figure as a number.
     *
     * @throws IllegalArgumentException if there is none of the name
     */
    public double number(String name) {
        if (figures.get(name) instanceof Number n) {
            return n.doubleValue();
        }
        throw new IllegalArgumentException("%s has no number %s".formatted(rule.key(), name));
    }
}
