package garden.vivarium.core.evidence;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.util.Optional;

/**
 * What a few pieces that were tugged or lifted tell of the many that were not. With r of m drawn at random ready, the share q of the tray has
 * density proportional to q^(r−½) (1−q)^(m−r−½) (Jeffreys), and of n others Beta-binomial(n, r+½, m−r+½) are ready too.
 *
 * @param read pieces that were looked at, 2 and up
 * @param ready of them
 * @param others pieces that were not, 1 and up
 */
public record Sentinels(int read, int ready, int others) {

    private static final double HALF = 0.5;
    /** A look that left out less than this share of the pieces was no drawing of a few. */
    private static final double LEFT_OUT = 0.5;

    public Sentinels {
        if (read < 2 || ready < 0 || ready > read || others < 1) {
            throw new IllegalArgumentException(
                    "of %d read %d cannot be ready, of %d others".formatted(read, ready, others));
        }
    }

    /** What is said of them. */
    public enum Finding implements Rule {
        /** {@code ready} of {@code read} are ready; of {@code others} about {@code middle} are, nine times in ten {@code low} to {@code high}. */
        TELL
    }

    /** Where a look read just a few: so many of all that still ran. */
    public static Optional<Sentinels> of(int read, int ready, int others) {
        return read < 2 || others < 1 || others < LEFT_OUT * (read + others)
                ? Optional.empty()
                : Optional.of(new Sentinels(read, ready, others));
    }

    /** The chance that so many of the others are ready: α = r+½ and β = m−r+½ as mean (r+½)/(m+1) and ρ = 1/(m+2). */
    double chance(int many) {
        return Math.exp(BetaBinomial.logChance(many, others, (ready + HALF) / (read + 1), 1.0 / (read + 2)));
    }

    /** How many of the others are ready: the middle of what may be. */
    public int middle() {
        return quantile(0.5);
    }

    /** The least number of others whose chance of so many or fewer reaches the share. */
    public int quantile(double share) {
        double sum = 0;
        for (int k = 0; k <= others; k++) {
            sum += chance(k);
            if (sum >= share - 1e-12) {
                return k;
            }
        }
        return others;
    }

    /** In words. */
    public Statement says() {
        return Statement.of(
                Finding.TELL,
                "read",
                read,
                "ready",
                ready,
                "others",
                others,
                "middle",
                middle(),
                "low",
                quantile(0.05),
                "high",
                quantile(0.95));
    }
}
