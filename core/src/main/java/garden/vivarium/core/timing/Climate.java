package garden.vivarium.core.timing;

/** What kind of weather a place has. With the hemisphere it decides the season there. */
public enum Climate {
    OPEN("open air", true),
    COLD("cold house", true),
    HEATED("heated house", true),
    LIT("lit room", false),
    TROPICAL("tropics", false);

    private final String words;
    private final boolean seasonal;

    Climate(String words, boolean seasonal) {
        this.words = words;
        this.seasonal = seasonal;
    }

    public String words() {
        return words;
    }

    /** Whether stock and pieces there follow the year. Under lamps and in the tropics they do not. */
    public boolean seasonal() {
        return seasonal;
    }
}
