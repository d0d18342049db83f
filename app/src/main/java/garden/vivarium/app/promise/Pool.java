package garden.vivarium.app.promise;

import garden.vivarium.core.plan.Prospect;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;

/** A batch or plan as a pool of young plants, with the claims on it in the order in which they are served. */
final class Pool {

    private final UUID planId;
    private final UUID batchId;
    private final String words;
    private final String address;
    private final Function<LocalDate, Prospect> prospect;
    private final Supplier<Optional<String>> granted;
    private final List<Claim> queue = new ArrayList<>();
    private final Map<LocalDate, Prospect> reckoned = new HashMap<>();

    Pool(
            UUID planId,
            UUID batchId,
            String words,
            String address,
            Function<LocalDate, Prospect> prospect,
            Supplier<Optional<String>> granted) {
        this.planId = planId;
        this.batchId = batchId;
        this.words = words;
        this.address = address;
        this.prospect = prospect;
        this.granted = granted;
    }

    /** The next claim in the order in which they are served. */
    void add(Claim claim) {
        queue.add(claim);
    }

    String words() {
        return words;
    }

    String address() {
        return address;
    }

    boolean isStuck() {
        return batchId != null;
    }

    UUID planId() {
        return planId;
    }

    UUID batchId() {
        return batchId;
    }

    /** What is taken for granted of it, in words. */
    Optional<String> granted() {
        return granted.get();
    }

    Prospect by(LocalDate day) {
        return reckoned.computeIfAbsent(day, prospect);
    }

    int taken() {
        return queue.stream().mapToInt(Claim::plants).sum();
    }

    /** How many of it a promise draws on and has not been given. */
    int drawnBy(UUID promise) {
        return queue.stream()
                .filter(c -> c.promiseId().equals(promise))
                .mapToInt(c -> c.plants() - c.given())
                .sum();
    }

    UUID id() {
        return batchId == null ? planId : batchId;
    }

    /** What a claim can have by the day: its share behind those served before and, for the last, the rest if that counts. */
    Prospect share(Claim claim, LocalDate day, boolean withRest) {
        // Those served before have their shares first; what was given to those after is gone all the same.
        int before = 0;
        boolean passed = false;
        for (Claim c : queue) {
            if (c == claim) {
                passed = true;
            } else {
                before += passed ? c.given() : c.plants();
            }
        }
        int gone = before + claim.given();
        boolean last = withRest && queue.get(queue.size() - 1) == claim;
        return by(day).then(s -> last ? s.beyond(gone) : s.beyond(gone).atMost(claim.plants() - claim.given()));
    }
}
