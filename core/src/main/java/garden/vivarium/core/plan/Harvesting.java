package garden.vivarium.core.plan;

import java.util.OptionalInt;

/**
 * What a stock plant or lot can give towards a plan: at once, and in the cuts that follow its rests.
 *
 * @param pieces that it bears now; empty where nobody has counted
 * @param restDays days between two cuts, 1 and up
 * @param regrown share of a cut that has grown again after a rest, 0 to 1
 * @param mostCuts cuts at most, 1 and up: three of a plant, one of a lot
 * @param large pieces of which, where nobody has counted, no plan asks for more: what a large plant bears; empty for any number
 */
public record Harvesting(OptionalInt pieces, int restDays, double regrown, int mostCuts, OptionalInt large) {

    /** More cuts than this for one aim are no plan. */
    public static final int MOST_CUTS = 3;

    public Harvesting {
        if (restDays < 1 || !(regrown >= 0) || !(regrown <= 1) || mostCuts < 1) {
            throw new IllegalArgumentException(
                    "harvesting needs a day of rest or more, a share between 0 and 1, and one cut or more");
        }
    }

    /** Of which, while nobody has counted, any number may be asked. */
    public Harvesting(OptionalInt pieces, int restDays, double regrown, int mostCuts) {
        this(pieces, restDays, regrown, mostCuts, OptionalInt.empty());
    }

    /** Of what can be cut once only. */
    public static Harvesting atOnce(OptionalInt pieces) {
        return new Harvesting(pieces, 1, 0, 1);
    }

    /** Pieces of one of the cuts, the first being 1; nothing where nobody has counted. */
    int ofCut(int cut) {
        int now = pieces.orElse(0);
        return cut == 1 ? now : (int) Math.floor(now * regrown);
    }

    /** Pieces of so many cuts together. */
    public int by(int cuts) {
        return ofCut(1) + (cuts - 1) * ofCut(2);
    }
}
