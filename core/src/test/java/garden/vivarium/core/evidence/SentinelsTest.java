package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SentinelsTest {

    /** One of two ready: α = β = 3/2, so that of one other 1/2, and of two others 5/16, 6/16 and 5/16. */
    @Test
    void chancesAreBetaBinomial() {
        assertThat(new Sentinels(2, 1, 1).chance(1)).isCloseTo(0.5, within(1e-12));
        assertThat(new Sentinels(2, 1, 2).chance(0)).isCloseTo(0.3125, within(1e-12));
        assertThat(new Sentinels(2, 1, 2).chance(1)).isCloseTo(0.375, within(1e-12));
        assertThat(IntStream.rangeClosed(0, 67)
                        .mapToDouble(new Sentinels(5, 3, 67)::chance)
                        .sum())
                .isCloseTo(1, within(1e-9));
    }

    @Test
    void aLookAtMostPiecesIsNoDrawingOfAFew() {
        assertThat(Sentinels.of(5, 3, 4)).isEmpty();
        assertThat(Sentinels.of(1, 1, 60)).isEmpty();
        assertThat(Sentinels.of(5, 3, 67)).isPresent();
        assertThatThrownBy(() -> new Sentinels(2, 3, 4)).hasMessageContaining("cannot be ready");
    }

    /** Trays of 60 whose own rate is anything from 0 to 1: nine in ten lie within what five of them say. */
    @Test
    void theRangeCovers() {
        Random random = new Random(7);
        int within = 0;
        int runs = 4000;
        for (int i = 0; i < runs; i++) {
            double rate = random.nextDouble();
            int ready = (int) IntStream.range(0, 5)
                    .filter(j -> random.nextDouble() < rate)
                    .count();
            int others = (int) IntStream.range(0, 55)
                    .filter(j -> random.nextDouble() < rate)
                    .count();
            Sentinels said = new Sentinels(5, ready, 55);
            if (others >= said.quantile(0.05) && others <= said.quantile(0.95)) {
                within++;
            }
        }
        assertThat(within / (double) runs).isBetween(0.87, 0.95);
    }
}
