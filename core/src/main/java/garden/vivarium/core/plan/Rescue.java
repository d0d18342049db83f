package garden.vivarium.core.plan;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.guide.Section;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * One plant that must not be lost: how to spread its sections over ways so that the chance that at least one lives is the
 * greatest. None of k pieces of one batch lives with E[(1−q)ᵏ], q the batch's own rate; batches are independent, so that none
 * of all lives with the product. ln E[(1−q)ᵏ] is convex in k (each further piece of the same batch helps less), so that giving
 * every section in turn to the way in which it helps most is the best there is.
 *
 * @param shares pieces by way and kind of section, only those that get some, the most pieces first
 * @param piecesLive the chance that at least one piece lives
 * @param plantLives the chance that the plant itself lives on after the cut, as the grower judges it
 */
public record Rescue(List<Share> shares, double piecesLive, double plantLives) {

    public Rescue {
        shares = List.copyOf(shares);
    }

    /**
     * A way open to a kind of section.
     *
     * @param key the way's key
     * @param way its name
     * @param section kind of section it takes
     * @param ready chance model of its pieces, with all the time they need
     */
    public record Open(String key, String way, Section section, ReadyChance ready) {}

    /**
     * Pieces that go one way.
     *
     * @param key the way's key
     * @param way its name
     * @param section the kind of section
     * @param pieces how many, 1 and up
     * @param noneLives the chance that none of them lives
     */
    public record Share(String key, String way, Section section, int pieces, double noneLives) {}

    /**
     * The best spread.
     *
     * @param sections how many sections there are of each kind, 0 and up
     * @param open the ways open to each kind
     * @param plantLives the chance that what is left of the plant lives on, 0 to 1
     */
    public static Rescue best(Map<Section, Integer> sections, List<Open> open, double plantLives) {
        if (!(plantLives >= 0) || !(plantLives <= 1)) {
            throw new IllegalArgumentException("a chance lies between 0 and 1, not at " + plantLives);
        }
        Map<Open, Integer> given = new LinkedHashMap<>();
        sections.forEach((section, count) -> {
            List<Open> fit = open.stream().filter(o -> o.section() == section).toList();
            for (int piece = 0; piece < count && !fit.isEmpty(); piece++) {
                Open best = fit.stream()
                        .min(Comparator.comparingDouble(o -> step(o, given.getOrDefault(o, 0))))
                        .orElseThrow();
                given.merge(best, 1, Integer::sum);
            }
        });
        List<Share> shares = new ArrayList<>();
        double none = 1;
        for (Map.Entry<Open, Integer> e : given.entrySet()) {
            double noneLives = none(e.getKey(), e.getValue());
            none *= noneLives;
            shares.add(new Share(e.getKey().key(), e.getKey().way(), e.getKey().section(), e.getValue(), noneLives));
        }
        shares.sort(Comparator.comparingInt(Share::pieces).reversed());
        return new Rescue(shares, 1 - none, plantLives);
    }

    /** The chance that something of it lives: a piece, or the plant itself. */
    public double somethingLives() {
        return 1 - (1 - piecesLive) * (1 - plantLives);
    }

    /** The factor by which one piece more lowers the chance that none lives. */
    private static double step(Open way, int has) {
        double before = none(way, has);
        return before == 0 ? 1 : none(way, has + 1) / before;
    }

    private static double none(Open way, int pieces) {
        return 1 - way.ready().atLeast(1, pieces);
    }

    /** Steps of its working. */
    public enum Step implements Rule {
        /** None of {@code pieces} by {@code way} of a {@code section} lives: {@code chance}. */
        NONE_BY_ONE_WAY,
        /** At least one piece lives: {@code chance}. */
        A_PIECE,
        /** A piece ({@code pieces}) or the plant ({@code plant}) lives: {@code chance}. */
        WITH_THE_PLANT
    }

    /** How it came about, under the question that it answers. */
    public Working working(Statement question) {
        List<Statement> steps = new ArrayList<>();
        for (Share s : shares) {
            steps.add(Statement.of(
                    Step.NONE_BY_ONE_WAY,
                    "pieces",
                    s.pieces(),
                    "way",
                    s.way(),
                    "section",
                    s.section(),
                    "chance",
                    s.noneLives()));
        }
        steps.add(Statement.of(Step.A_PIECE, "chance", piecesLive));
        steps.add(Statement.of(
                Step.WITH_THE_PLANT, "pieces", piecesLive, "plant", plantLives, "chance", somethingLives()));
        return new Working(question, steps);
    }
}
