package garden.vivarium.app.platform;

/** What a person may do in their nursery. */
public enum Role {
    OWNER("owner: may do everything, people too"),
    GROWER("grower: may write down and change everything but people"),
    READER("reader: may look and take data out");

    private final String words;

    Role(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** The name alone. */
    public String title() {
        return words.substring(0, words.indexOf(':'));
    }
}
