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

    /** Whether something is being done with it just now. */
    public boolean isBusy() {
        return this == READING || this == KEEPING || this == TAKING_BACK;
    }
}
