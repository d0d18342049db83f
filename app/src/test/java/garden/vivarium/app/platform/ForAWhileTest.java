package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

/** Known for a while, and then asked again. */
class ForAWhileTest {

    private final AtomicLong now = new AtomicLong();
    private final AtomicLong asked = new AtomicLong();
    private final ForAWhile<String, Long> known = new ForAWhile<>(Duration.ofSeconds(20), now::get);

    private long ask() {
        return known.of("zone", k -> asked.incrementAndGet());
    }

    @Test
    void isReadOnceAWhileAndAtOnceWhereItIsKnownToHaveChanged() {
        assertThat(ask()).isEqualTo(1);
        now.addAndGet(Duration.ofSeconds(19).toNanos());
        assertThat(ask()).isEqualTo(1);
        now.addAndGet(Duration.ofSeconds(1).toNanos());
        assertThat(ask()).as("another node may have changed it").isEqualTo(2);
        known.forget("zone");
        assertThat(ask()).isEqualTo(3);
    }
}
