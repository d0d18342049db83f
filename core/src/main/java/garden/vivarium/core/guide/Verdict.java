package garden.vivarium.core.guide;

/** What the guide says of a method for a kind of plant. */
public enum Verdict {
    /** Most who raise the plant would start so. */
    USUAL,
    /** It works, and few start so. */
    POSSIBLE,
    /** A propagator would laugh, or the plant would die. */
    NEVER
}
