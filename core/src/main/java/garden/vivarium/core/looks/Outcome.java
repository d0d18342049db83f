package garden.vivarium.core.looks;

/** What became of a piece with regard to one milestone. */
public enum Outcome {
    /** It reached the milestone within the interval. */
    REACHED,
    /** It was seen lost before the milestone, within the interval. */
    LOST,
    /** It was given up without ever having looked lost: a failure that did not show itself. */
    GIVEN_UP,
    /** Neither, as far as looks go; it may still come. */
    PENDING,
    /** Neither, and it left unjudged: pending at its own last look for good. */
    SENT;

    /** Whether it ended without the milestone and without a loss in sight, so that its interval has no end. */
    public boolean isOpen() {
        return this == GIVEN_UP || this == PENDING || this == SENT;
    }
}
