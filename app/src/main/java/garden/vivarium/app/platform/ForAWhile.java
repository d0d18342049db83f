package garden.vivarium.app.platform;

import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.LongSupplier;

/**
 * What hardly ever changes, kept for a while: on the node that changes it, it is forgotten at once; on others it is read anew soon.
 *
 * @param <K> of what
 * @param <V> what is known of it
 */
public final class ForAWhile<K, V> {

    private final Map<K, Kept<V>> kept = new ConcurrentHashMap<>();
    private final long nanos;
    private final LongSupplier clock;

    /** For so long. */
    public ForAWhile(Duration howLong) {
        this(howLong, System::nanoTime);
    }

    ForAWhile(Duration howLong, LongSupplier clock) {
        this.nanos = howLong.toNanos();
        this.clock = clock;
    }

    private record Kept<V>(V value, long since) {}

    /** What is known, or is read now. */
    public V of(K key, Function<K, V> read) {
        long now = clock.getAsLong();
        Kept<V> known = kept.get(key);
        if (known != null && now - known.since() < nanos) {
            return known.value();
        }
        V value = read.apply(key);
        kept.put(key, new Kept<>(value, now));
        return value;
    }

    /** It has changed. */
    public void forget(K key) {
        kept.remove(key);
    }
}
