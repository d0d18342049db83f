package garden.vivarium.app.exchange;

/** How far a file is. */
public enum ImportState {
    /** It is being read. */
    READING,
    /** It was read, and waits for what is asked, or for being kept. */
    ASKING,
    /** It is being kept. */
    KEEPING,
    /** It is part of the record. */
    KEPT,
    /** It is being taken back. */
    TAKING_BACK,
    /** It was kept, and taken back. */
    TAKEN_BACK,
    /** It cannot be read. */
    REFUSED;

    public boolean isAsking() {
        return this == ASKING;
    }

    public boolean isKept() {
        return this == KEPT;
    }

    /** Whether it is part of the record, or was. */
    public boolean wasKept() {
        return this == KEPT || this == TAKEN_BACK;
    }

    /** Whether more can be said of it. */
    public boolean isOpen() {
        return this == ASKING || this == REFUSED;
    }

    /** Whether another file is the next thing. */
    public boolean isOver() {
        return wasKept() || this == REFUSED;
    }

    /** Whether something is being done with it just now. */
    public boolean isBusy() {
        return this == READING || this == KEEPING || this == TAKING_BACK;
    }
}
