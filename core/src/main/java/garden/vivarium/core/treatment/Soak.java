package garden.vivarium.core.treatment;

import garden.vivarium.core.Text;
import garden.vivarium.core.measure.TimeSpan;
import garden.vivarium.core.measure.Unit;
import java.util.Optional;

/**
 * The piece lies in water, or in what is dissolved in it, before it is stuck.
 *
 * @param time how long; empty where nobody said
 */
public record Soak(Optional<TimeSpan> time) implements Treatment {

    static final String NAME = "SOAK";

    public Soak {
        time = time.map(t -> new TimeSpan(t.hours(), Unit.HOUR));
    }

    @Override
    public String code() {
        return NAME + time.map(t -> " " + Text.figure(t.hours())).orElse("");
    }

    @Override
    public String written() {
        return "soaked" + time.map(t -> " " + Text.figure(t.hours()) + " h").orElse("");
    }
}
