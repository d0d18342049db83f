package garden.vivarium.app.sums;

import garden.vivarium.app.platform.Figures;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.measure.UnitSystem;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What was typed into a sum, by field; in metric units, unless the field {@code units} names others. */
record Typed(Map<String, String> values) {

    private static final String UNITS = "units";

    /** In what each measured field is reckoned. */
    private static final Map<String, Unit> MEASURED = Map.of(
            "across", Unit.CENTIMETRE,
            "deep", Unit.CENTIMETRE,
            "free", Unit.CENTIMETRE,
            "dress", Unit.CENTIMETRE,
            "litres", Unit.LITRE,
            "ball", Unit.LITRE,
            "warmth", Unit.CELSIUS);

    private UnitSystem units() {
        return one(UNITS, UnitSystem.class, UnitSystem.METRIC);
    }

    /** The same as somebody reads it who measures in other units. */
    Map<String, String> shown(Measures measures) {
        Map<String, String> shown = new TreeMap<>(values);
        UnitSystem typedIn = values.containsKey(UNITS) && values.get(UNITS).equals(UnitSystem.US.name())
                ? UnitSystem.US
                : UnitSystem.METRIC;
        if (typedIn != measures.units()) {
            MEASURED.forEach((field, unit) ->
                    shown.computeIfPresent(field, (f, typed) -> other(typed, unit, typedIn, measures)));
        }
        shown.computeIfPresent("strength", (f, typed) -> typed.toUpperCase(Locale.ROOT));
        shown.put(UNITS, measures.units().name());
        return shown;
    }

    private static String other(String typed, Unit unit, UnitSystem typedIn, Measures measures) {
        try {
            Double number = Figures.decimal("", typed);
            return number == null ? typed : measures.typed(Measures.metric(number, unit, typedIn), unit);
        } catch (InvalidField asItWasTyped) {
            return typed;
        }
    }

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
        Double asTyped = Figures.decimal(field, values.get(field));
        Double typed = asTyped == null || !MEASURED.containsKey(field)
                ? asTyped
                : (Double) Measures.metric(asTyped, MEASURED.get(field), units());
        if (typed != null && !(typed >= least && typed <= most)) {
            throw new InvalidField(
                    field, Messages.text("PotUp.number", "typed", values.get(field), "least", least, "most", most));
        }
        return Optional.ofNullable(typed);
    }

    /** One of several, or what is usual. */
    <E extends Enum<E>> E one(String field, Class<E> of, E usual) {
        try {
            return isAsked(field) ? Enum.valueOf(of, values.get(field).toUpperCase(Locale.ROOT)) : usual;
        } catch (IllegalArgumentException e) {
            throw new InvalidField(field, Messages.text("Typed.one.of", "typed", values.get(field)));
        }
    }
}
