package garden.vivarium.core.guide;

/** What of a plant a method needs, as a grower counts it before cutting. */
public enum Section {
    TIP("tip", "tips"),
    MIDDLE("middle length with a joint", "middle lengths with a joint"),
    BARE("bare joint", "bare joints"),
    LEAF("leaf", "leaves"),
    ROOT("root piece", "root pieces"),
    GROWTH("offset, growth or plantlet", "offsets, growths or plantlets"),
    BULB("bulb or scale", "bulbs or scales");

    private final String one;
    private final String words;

    Section(String one, String words) {
        this.one = one;
        this.words = words;
    }

    /** The word for so many of them. */
    public String words(int number) {
        return number == 1 ? one : words;
    }

    public String words() {
        return words;
    }
}
