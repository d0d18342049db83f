package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.guide.Guide;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;

/** How often the planner's number is one that a propagator would take: run by {@code ./vivarium bench advice}. */
class NumbersBench {

    @Test
    void numbersAgainstWhatAPropagatorWouldTake() {
        Guide guide = Guide.load();
        List<AimAnswers.Aimed> aims = AimAnswers.load();
        assertThat(aims).isNotEmpty();
        int taken = 0;
        int laughable = 0;
        for (AimAnswers.Aimed aim : aims) {
            var wrong = AimAnswers.wrong(guide, aim);
            taken += wrong.isEmpty() ? 1 : 0;
            laughable += wrong.map(AimAnswers.Wrong::laughable).orElse(false) ? 1 : 0;
            wrong.ifPresent(w -> System.out.println("  " + aim.line() + " -> " + w.says()));
        }
        System.out.printf(
                Locale.ROOT, "numbers: %d of %d would be taken, %d are laughable%n", taken, aims.size(), laughable);
    }
}
