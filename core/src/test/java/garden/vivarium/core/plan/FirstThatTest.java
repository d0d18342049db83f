package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalLong;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class FirstThatTest {

    @Test
    void findsTheFirstWhereverItLiesAndWhereverOneBegins() {
        for (long first = 3; first <= 21; first++) {
            for (long guess = -5; guess <= 40; guess++) {
                long sought = first;
                assertThat(FirstThat.of(3, 20, guess, n -> n >= sought))
                        .as("first %d, guess %d", first, guess)
                        .isEqualTo(first > 20 ? OptionalLong.empty() : OptionalLong.of(first));
            }
        }
    }

    @Test
    void nothingIsFoundWhereThereIsNothing() {
        assertThat(FirstThat.of(1, 0, 1, n -> true)).isEmpty();
    }

    @Test
    void aGoodGuessIsSettledByTwoTries() {
        AtomicInteger tries = new AtomicInteger();
        assertThat(FirstThat.of(1, 1_000_000, 4711, n -> {
                    tries.incrementAndGet();
                    return n >= 4711;
                }))
                .hasValue(4711);
        assertThat(tries).hasValue(2);
    }
}
