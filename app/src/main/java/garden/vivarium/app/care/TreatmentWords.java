package garden.vivarium.app.care;

import java.util.Arrays;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Says how treatments turned out; templates call it as {@code @treatments}. */
@Component("treatments")
class TreatmentWords {

    /** "it worked 3 times, it did not 1 time". */
    public String outcomes(Map<Outcome, Long> told) {
        return Arrays.stream(Outcome.values())
                .filter(told::containsKey)
                .map(o -> "%s %s".formatted(o.words(), told.get(o) == 1 ? "once" : told.get(o) + " times"))
                .collect(Collectors.joining(", "));
    }
}
