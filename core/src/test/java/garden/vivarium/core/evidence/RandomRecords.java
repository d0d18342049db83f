package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Interval;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/** Seeded records of pieces that were looked at on irregular days. */
final class RandomRecords {

    private RandomRecords() {}

    static List<Interval> of(long seed, int pieces) {
        Random random = new Random(seed);
        return IntStream.range(0, pieces).mapToObj(i -> one(random)).toList();
    }

    private static Interval one(Random random) {
        double ready = Math.exp(2.8 + 0.5 * random.nextGaussian());
        double lost = random.nextDouble() < 0.3 ? random.nextDouble() * 30 : Double.POSITIVE_INFINITY;
        int after = 0;
        int looks = 2 + random.nextInt(5);
        for (int look = 0; look < looks; look++) {
            int day = after + 2 + random.nextInt(12);
            if (Math.min(ready, lost) <= day) {
                return ready < lost ? Interval.reached(after, day) : Interval.lost(after, day);
            }
            after = day;
        }
        return Interval.pending(after);
    }
}
