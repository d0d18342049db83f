package garden.vivarium.core.watch;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.guide.Circumstance;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Symptom;
import java.util.Set;
import org.junit.jupiter.api.Test;

class DiagnosisTest {

    private static final Guide GUIDE = Guide.load();

    private static Diagnosis of(String symptom, Circumstance... circumstances) {
        return Diagnosis.of(GUIDE.symptom(symptom).orElseThrow(), Set.of(circumstances));
    }

    @Test
    void nothingAfterSoLongIsNormalWhileItIsEarlyAndColdWhenItIsLate() {
        Diagnosis early = of("nothing", Circumstance.EARLY);
        assertThat(early.findings().get(0).cause().normal()).isTrue();
        assertThat(early.findings().get(0).because()).containsExactly(Circumstance.EARLY);

        Diagnosis late = of("nothing", Circumstance.LATE, Circumstance.OUT_OF_SEASON);
        assertThat(late.findings().get(0).cause().cause()).isEqualTo("Too cold below");
        assertThat(late.findings().get(0).score()).isEqualTo(12);
    }

    @Test
    void aFleshyPieceThatShrivelsIsLeftAlone() {
        assertThat(of("shrivelled", Circumstance.FLESHY)
                        .findings()
                        .get(0)
                        .cause()
                        .normal())
                .isTrue();
        assertThat(of("shrivelled", Circumstance.DRY, Circumstance.EARLY)
                        .findings()
                        .get(0)
                        .cause()
                        .cause())
                .isEqualTo("It drinks less than it loses");
    }

    @Test
    void everyCauseIsKeptAndTheScoresNeverRise() {
        for (Symptom symptom : GUIDE.symptoms()) {
            Diagnosis all = Diagnosis.of(symptom, Set.of(Circumstance.values()));
            assertThat(all.findings()).hasSameSizeAs(symptom.causes());
            assertThat(all.findings().stream().map(f -> -f.score())).isSorted();
        }
    }
}
