package garden.vivarium.core.treatment;

import garden.vivarium.core.Text;
import garden.vivarium.core.measure.Concentration;
import garden.vivarium.core.measure.Unit;
import java.util.Locale;
import java.util.Optional;

/**
 * Rooting hormone on the wound.
 *
 * @param strength of the preparation; empty where nobody said
 * @param form what it comes in
 */
public record Hormone(Optional<Concentration> strength, Form form) implements Treatment {

    static final String NAME = "HORMONE";
    private static final String WORD = "hormone";

    /** What it comes in. */
    public enum Form {
        POWDER,
        GEL,
        LIQUID,
        UNSAID
    }

    public Hormone {
        // However it was written, a strength is one.
        strength = strength.map(s -> new Concentration(s.ppm(), Unit.PERCENT));
    }

    /** Of a strength, in whatever form. */
    public static Hormone of(Concentration strength) {
        return new Hormone(Optional.of(strength), Form.UNSAID);
    }

    @Override
    public String code() {
        return NAME
                + strength.map(s -> " " + Text.figure(s.ppm())).orElse("")
                + (form == Form.UNSAID ? "" : " " + form.name());
    }

    @Override
    public String written() {
        return WORD
                + strength.map(s -> " " + Text.figure(s.in(Unit.PERCENT)) + "%").orElse("")
                + (form == Form.UNSAID ? "" : " " + form.name().toLowerCase(Locale.ROOT));
    }
}
