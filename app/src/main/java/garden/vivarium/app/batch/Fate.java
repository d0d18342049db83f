package garden.vivarium.app.batch;

/** How what left left. */
public enum Fate {
    SENT("sent away"),
    GIVEN("given away"),
    SOLD("sold");

    private final String words;

    Fate(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
