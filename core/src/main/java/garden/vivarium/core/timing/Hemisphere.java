package garden.vivarium.core.timing;

/** Which half of the globe a nursery is in: the southern year runs six months after the northern one. */
public enum Hemisphere {
    NORTH,
    SOUTH;

    /** Whether its spring begins in March. */
    public boolean isNorth() {
        return this == NORTH;
    }
}
