package garden.vivarium.core.watch;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * Whether batches that share a vessel go at paces that suit each other. What is ready weeks before its neighbour is moved out from between
 * roots that are still forming, or waits for it and tangles.
 */
public final class Paces {

    /** Less common time than this share of the shorter window is hardly any. */
    static final double LEAST_IN_COMMON = 0.25;

    private Paces() {}

    /**
     * The days within which most of a batch becomes ready.
     *
     * @param code of the batch
     * @param from when one in ten is ready
     * @param to when nine in ten are, {@code from} or later
     */
    public record Pace(String code, LocalDate from, LocalDate to) {

        public Pace {
            if (to.isBefore(from)) {
                throw new IllegalArgumentException("%s is ready from %s, not to %s".formatted(code, from, to));
            }
        }

        private long days() {
            return ChronoUnit.DAYS.between(from, to) + 1;
        }
    }

    /** What is said of two paces. */
    public enum Finding implements Rule {
        /** One, {@code first}, is ready from {@code firstFrom} to {@code firstTo}, the other, {@code second}, hardly at the same time. */
        APART
    }

    /** That two of one vessel hardly become ready at one time; empty where they do. */
    public static Optional<Statement> apart(Pace one, Pace other) {
        LocalDate from = one.from().isAfter(other.from()) ? one.from() : other.from();
        LocalDate to = one.to().isBefore(other.to()) ? one.to() : other.to();
        long common = Math.max(0, ChronoUnit.DAYS.between(from, to) + 1);
        if (common >= LEAST_IN_COMMON * Math.min(one.days(), other.days())) {
            return Optional.empty();
        }
        Pace first = one.from().isAfter(other.from()) ? other : one;
        Pace second = first == one ? other : one;
        return Optional.of(Statement.of(
                Finding.APART,
                "first",
                first.code(),
                "firstFrom",
                first.from(),
                "firstTo",
                first.to(),
                "second",
                second.code(),
                "secondFrom",
                second.from(),
                "secondTo",
                second.to()));
    }
}
