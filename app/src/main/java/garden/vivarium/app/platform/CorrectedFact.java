package garden.vivarium.app.platform;

/**
 * A fact that was corrected, in words of at most 600 characters.
 *
 * @param what it is
 * @param was before
 * @param became from then on
 */
public record CorrectedFact(String what, String was, String became) {

    private static final int LONGEST = 600;

    public CorrectedFact {
        was = cut(was);
        became = cut(became);
    }

    private static String cut(String words) {
        String said = words == null || words.isBlank() ? "nothing" : words;
        return said.length() > LONGEST ? said.substring(0, LONGEST) : said;
    }

    /** Whether it was so before. */
    public boolean isNone() {
        return was.equals(became);
    }
}
