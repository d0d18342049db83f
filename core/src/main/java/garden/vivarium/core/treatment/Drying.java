package garden.vivarium.core.treatment;

import garden.vivarium.core.Text;
import garden.vivarium.core.measure.TimeSpan;
import garden.vivarium.core.measure.Unit;
import java.util.Optional;

/**
 * The wound dries before the piece is stuck.
 *
 * @param time how long; empty where it goes by the days between cut and stuck
 */
public record Drying(Optional<TimeSpan> time) implements Treatment {

    static final String NAME = "DRYING";

    /** For as long as the days between cut and stuck. */
    public static final Drying AS_DATED = new Drying(Optional.empty());

    public Drying {
        time = time.map(t -> new TimeSpan(t.hours(), Unit.DAY));
    }

    @Override
    public String code() {
        return NAME + time.map(t -> " " + Text.figure(t.hours())).orElse("");
    }

    @Override
    public String written() {
        return "callus"
                + time.map(t -> " " + Text.figure(t.in(Unit.DAY)) + " d").orElse("");
    }
}
