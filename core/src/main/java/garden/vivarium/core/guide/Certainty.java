package garden.vivarium.core.guide;

/** How well a figure of the guide is known. */
public enum Certainty {
    /** Everybody who raises the plant would say it. */
    PROVERBIAL(16, 1.0 / 36),
    /** Most who raise it would. */
    WELL(10, 1.0 / 16),
    /** It varies from hand to hand. */
    FAIRLY(6, 1.0 / 9),
    /** Few have tried, or they do not agree. */
    THIN(3, 1.0 / 4);

    private final double pieces;
    private final double daysVariance;

    Certainty(double pieces, double daysVariance) {
        this.pieces = pieces;
        this.daysVariance = daysVariance;
    }

    /** How far a figure of days may be off: the variance of ln(days) around it. */
    public double daysVariance() {
        return daysVariance;
    }

    /** As many pieces as the figure is worth beside a nursery's own. */
    public double pieces() {
        return pieces;
    }
}
