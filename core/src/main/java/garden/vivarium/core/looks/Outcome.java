package garden.vivarium.core.looks;

/** What became of a piece with regard to one milestone. */
public enum Outcome {
    /** It reached the milestone within the interval. */
    REACHED,
    /** It was lost before the milestone, within the interval. */
    LOST,
    /** Neither, as far as looks go; also pieces sent away unjudged. */
    PENDING
}
