package garden.vivarium.core.timing;

/** What a milestone is told by. It decides which kinds of look can know of it. */
public enum Sign {
    /** New roots: hidden from above. */
    ROOT,
    /** A bud, shoot or plantlet: seen from above. */
    SHOOT;

    /** Whether it is told by roots. */
    public boolean isRoot() {
        return this == ROOT;
    }
}
