package garden.vivarium.app.sums;

import garden.vivarium.app.platform.Figures;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import java.util.Map;
import java.util.Optional;

/** What was typed into a sum, by field. */
record Typed(Map<String, String> values) {

    /** Whether anything was asked yet. */
    boolean isAsked(String field) {
        return values.containsKey(field) && !values.get(field).isBlank();
    }

    /** Words, or what is usual. */
    String text(String field, String usual) {
        return isAsked(field) ? values.get(field).strip() : usual;
    }

    /**
     * A number within bounds, or what is usual.
     *
     * @throws InvalidField if it is none, or out of bounds
     */
    double number(String field, double usual, double least, double most) {
        return number(field, least, most).orElse(usual);
    }

    /** A number within bounds, where one was typed. */
    Optional<Double> number(String field, double least, double most) {
        Double typed = Figures.decimal(field, values.get(field));
        if (typed != null && !(typed >= least && typed <= most)) {
            throw new InvalidField(
                    field, Messages.text("PotUp.number", "typed", values.get(field), "least", least, "most", most));
        }
        return Optional.ofNullable(typed);
    }

    /** One of several, or what is usual. */
    <E extends Enum<E>> E one(String field, Class<E> of, E usual) {
        try {
            return isAsked(field) ? Enum.valueOf(of, values.get(field)) : usual;
        } catch (IllegalArgumentException e) {
            throw new InvalidField(field, Messages.text("Typed.one.of", "typed", values.get(field)));
        }
    }
}
