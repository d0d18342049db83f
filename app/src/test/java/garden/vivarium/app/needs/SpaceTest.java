package garden.vivarium.app.needs;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.plan.TraySpace;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class SpaceTest {

    private static final LocalDate DAY = LocalDate.of(2026, 5, 1);
    private static final TraySpace.Stay STAY = new TraySpace.Stay("26w18-A", DAY, DAY.plusDays(30), 1);

    private static Space.Bench bench(int stays) {
        return new Space.Bench(null, List.of(1.0), Optional.empty(), Collections.nCopies(stays, STAY));
    }

    @Test
    void ofACrowdedPlaceAsMuchIsShownAsIsRead() {
        assertThat(bench(45).first()).hasSize(30);
        assertThat(bench(45).more()).isEqualTo(15);
        assertThat(bench(30).first()).hasSize(30);
        assertThat(bench(30).more()).isZero();
    }
}
