package garden.vivarium.app.platform;

/** What a person may do in their nursery. */
public enum Role implements Named {
    OWNER,
    GROWER,
    READER;

    /** Whether they may change what a nursery is and who works there. */
    public boolean isOwner() {
        return this == OWNER;
    }

    /** Whether they only read. */
    public boolean isReader() {
        return this == READER;
    }

    /** Its name with what it may do. */
    public String mayDo() {
        return Messages.text("Role.may", "role", name());
    }
}
