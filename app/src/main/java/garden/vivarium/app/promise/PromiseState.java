package garden.vivarium.app.promise;

/** What has become of a promise. */
public enum PromiseState {
    OPEN("open"),
    KEPT("kept"),
    DROPPED("dropped");

    private final String words;

    PromiseState(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
