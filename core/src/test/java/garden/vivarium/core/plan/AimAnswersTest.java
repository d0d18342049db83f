package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.guide.Guide;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The planner's numbers are those that a propagator would name. */
class AimAnswersTest {

    private static final double ENOUGH = 0.95;

    @Test
    void nineteenOfTwentyNumbersAreTakenAndNoneIsLaughedAt() {
        Guide guide = Guide.load();
        List<AimAnswers.Aimed> aims = AimAnswers.load();
        List<String> wrong = new ArrayList<>();
        List<String> laughable = new ArrayList<>();
        for (AimAnswers.Aimed aim : aims) {
            AimAnswers.wrong(guide, aim).ifPresent(w -> {
                wrong.add(aim.line() + " -> " + w.says());
                if (w.laughable()) {
                    laughable.add(aim.line() + " -> " + w.says());
                }
            });
        }

        assertThat(aims).hasSizeGreaterThanOrEqualTo(150);
        assertThat(laughable).isEmpty();
        assertThat(wrong.size()).as(String.join("\n", wrong)).isLessThanOrEqualTo((int) ((1 - ENOUGH) * aims.size()));
    }
}
