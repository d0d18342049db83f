package garden.vivarium.app.platform;

/** What a person may do in their nursery. */
public enum Role implements Named {
    OWNER,
    GROWER,
    READER;

    /** Its name with what it may do. */
    public String mayDo() {
        return Messages.text("Role.may", "role", name());
    }
}
