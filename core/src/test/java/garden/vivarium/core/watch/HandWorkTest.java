package garden.vivarium.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class HandWorkTest {

    @ParameterizedTest
    @EnumSource(HandWork.class)
    void morePiecesNeverTakeLess(HandWork work) {
        assertThat(work.minutes(0)).isPositive();
        assertThat(work.minutes(72)).isGreaterThanOrEqualTo(work.minutes(12));
    }

    @Test
    void aTrayIsLookedThroughInMinutesAndPottedInAnHour() {
        assertThat(HandWork.LOOK.minutes(72)).isCloseTo(8.7, within(1e-9));
        assertThat(HandWork.POT.minutes(72)).isCloseTo(57, within(1e-9));
        assertThatThrownBy(() -> HandWork.LOOK.minutes(-1)).hasMessageContaining("not -1");
    }
}
