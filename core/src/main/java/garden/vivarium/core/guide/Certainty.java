package garden.vivarium.core.guide;

/** How well a figure of the guide is known. */
public enum Certainty {
    /** Everybody who raises the plant would say it. */
    PROVERBIAL(16),
    /** Most who raise it would. */
    WELL(10),
    /** It varies from hand to hand. */
    FAIRLY(6),
    /** Few have tried, or they do not agree. */
    THIN(3);

    private final double pieces;

    Certainty(double pieces) {
        this.pieces = pieces;
    }

    /** As many pieces as the figure is worth beside a nursery's own. */
    public double pieces() {
        return pieces;
    }
}
