package garden.vivarium.app.care;

/** Whether a treatment worked. */
public enum Outcome {
    WORKED("it worked"),
    PARTLY("partly"),
    NOT("it did not");

    private final String words;

    Outcome(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
