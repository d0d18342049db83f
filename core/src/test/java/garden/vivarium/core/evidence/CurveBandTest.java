package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** The rough band of a curve: its edges are the twentieth parts of what drawing whole batches again gives. */
class CurveBandTest {

    private static final Tallies ALL = Tallies.of(Map.of(Interval.reached(7, 14), 10L));
    private static final Tallies NONE = Tallies.of(Map.of(Interval.pending(14), 10L));

    @Test
    void itsEdgesAreTheFifthAndTheNinetyFifthInAHundred() {
        // Of 40 batches half become ready whole: of 40 drawn, Binomial(40, 1/2), whose quantiles are 15 and 25.
        CurveBand band = CurveBand.of(IntStream.range(0, 40)
                        .mapToObj(i -> i % 2 == 0 ? ALL : NONE)
                        .toList())
                .orElseThrow();

        assertThat(band.low().get(14)).isCloseTo(0.375, within(0.026));
        assertThat(band.high().get(14)).isCloseTo(0.625, within(0.026));
        assertThat(band.low().get(7)).isZero();
        assertThat(band.low()).hasSize(15);
    }

    @Test
    void batchesThatAreAllAlikeLeaveNoDoubt() {
        CurveBand band =
                CurveBand.of(IntStream.range(0, 8).mapToObj(i -> ALL).toList()).orElseThrow();
        assertThat(band.low().get(14)).isCloseTo(1, within(1e-4));
        assertThat(band.high().get(14)).isCloseTo(1, within(1e-4));
    }

    @Test
    void sevenBatchesAreTooFew() {
        assertThat(CurveBand.of(List.of(ALL, ALL, ALL, ALL, ALL, ALL, ALL))).isEmpty();
    }
}
