package garden.vivarium.app.stock;

import garden.vivarium.core.stock.MayCut;

/** Whether a plant may be propagated freely. Local law decides; this only keeps it in view. */
public enum Protection {
    FREE("free to propagate", MayCut.Protected.FREE),
    PROTECTED("protected variety: only with a licence, or for study", MayCut.Protected.VARIETY),
    ORIGIN("origin must be shown", MayCut.Protected.ORIGIN);

    private final String words;
    private final MayCut.Protected rule;

    Protection(String words, MayCut.Protected rule) {
        this.words = words;
        this.rule = rule;
    }

    /** Whether nothing stands against propagating it. */
    public boolean isFree() {
        return this == FREE;
    }

    public String words() {
        return words;
    }

    /** The same for the rules of cutting. */
    public MayCut.Protected rule() {
        return rule;
    }
}
