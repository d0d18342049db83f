package garden.vivarium.app.stock;

/** Whether a plant may be propagated freely. Local law decides; this only keeps it in view. */
public enum Protection {
    FREE("free to propagate"),
    PROTECTED("protected variety: only with a licence, or for study"),
    ORIGIN("origin must be shown");

    private final String words;

    Protection(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
