package garden.vivarium.core.guide;

import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.timing.Window;
import java.time.Month;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a grower means by "a fuchsia": a genus, or a type within one where types differ in how they are raised. What is not said
 * of it holds as for its group. The facts are general horticultural knowledge in this project's own words.
 *
 * @param key the short name kept with a plant
 * @param names what it is called
 * @param group key of its group
 * @param raised why it is not raised by pieces: the key of a reason; empty for those that are
 * @param usual methods by which most who raise it start, the commonest first; one at least, but of what is not raised by pieces none
 * @param possible methods that work and that few start with
 * @param never why a method is never used, for those of which the kind says more than the method itself
 * @param figures where its rates and days are well known to differ
 * @param habits where it differs from its group otherwise
 * @param hazards keys of its own cautions, in the place of its group's; empty for none
 * @param remarks what to mind beside
 */
public record PlantKind(
        String key,
        Names names,
        String group,
        Optional<String> raised,
        List<String> usual,
        List<String> possible,
        Map<String, String> never,
        Figures figures,
        Habits habits,
        List<String> hazards,
        Remarks remarks) {

    /**
     * What it is called.
     *
     * @param name the common name, which pages use
     * @param latin genera and species, the commonest first
     * @param also other common names
     * @param heard misspellings and names that are understood and not said
     */
    public record Names(String name, List<String> latin, List<String> also, List<String> heard) {

        /** All of them that are said. */
        public Stream<String> all() {
            return Stream.of(Stream.of(name), latin.stream(), also.stream()).flatMap(s -> s);
        }
    }

    /**
     * Its figures, by method.
     *
     * @param rate usual share that becomes ready in good conditions and in season, 0 to 1, both excluded
     * @param known how well a rate that is said is known
     * @param ready usual days to ready
     * @param readyKnown how well days are known, where that is said
     * @param each how many of what it bears go with one piece, where that is more than one: growths with a division
     * @param sections stem sections, or leaf-buds, that one shoot gives; empty as for the group
     * @param drying days that a wound dries before it is stuck; empty as for the group
     * @param season months in which it is best done, northern, where they are others than for other plants
     * @param warmth of the air that its pieces want, in °C, where that is another than for other plants; empty as for the group
     */
    public record Figures(
            Map<String, Double> rate,
            Map<String, Certainty> known,
            Map<String, Window> ready,
            Map<String, Certainty> readyKnown,
            Map<String, Integer> each,
            Optional<Integer> sections,
            Optional<Integer> drying,
            Map<String, Set<Month>> season,
            Optional<Warmth> warmth) {}

    /**
     * How it lives.
     *
     * @param hardy whether it is set in open ground
     * @param water how it roots in water
     * @param divided when it is divided
     * @param plantletsOn what bears its plantlets
     * @param not keys of protocols that do not suit it though their method does
     */
    public record Habits(boolean hardy, InWater water, Divided divided, PlantletsOn plantletsOn, List<String> not) {}

    /** How pieces root in water. */
    public enum InWater {
        UNKNOWN,
        POOR,
        FAIR,
        GOOD;

        /** Whether anything is known of it. */
        public boolean isKnown() {
            return this != UNKNOWN;
        }
    }

    /** When it is divided. */
    public enum Divided {
        EITHER,
        ASLEEP,
        GROWING;

        /** Whether one of both is better. */
        public boolean isChosen() {
            return this != EITHER;
        }
    }

    /** What bears the plantlets. */
    public enum PlantletsOn {
        RUNNERS,
        STEMS,
        LEAVES
    }

    /**
     * What to mind beside.
     *
     * @param bred whether many named selections are protected, so that the label is to be read
     * @param wild whether many are protected in the wild, so that their origin is to be shown
     * @param thin whether little is known of it that holds everywhere
     * @param note a sentence of its own; empty for none
     */
    public record Remarks(boolean bred, boolean wild, boolean thin, Optional<String> note) {}

    /** Whether it is raised by pieces at all; else by seed, spores or grafting. */
    public boolean isRaisedByPieces() {
        return raised.isEmpty();
    }

    /** What the guide says of a method for it. */
    public Verdict verdict(String method) {
        return usual.contains(method) ? Verdict.USUAL : possible.contains(method) ? Verdict.POSSIBLE : Verdict.NEVER;
    }

    /** How well the rate of a method is known for it: thin, where it is only that of the method with other plants. */
    public Certainty rateKnown(String method) {
        return figures.known().getOrDefault(method, Certainty.THIN);
    }

    /**
     * How well the days of a method are known for it. Where it is not said: its own days as its rate, at the most well; those of the
     * method fairly, where its rate is known well; else thin.
     */
    public Certainty daysKnown(String method) {
        Certainty rate = rateKnown(method);
        boolean own = figures.ready().containsKey(method);
        Certainty usual = own
                ? rate.compareTo(Certainty.WELL) < 0 ? Certainty.WELL : rate
                : rate.compareTo(Certainty.WELL) <= 0 ? Certainty.FAIRLY : Certainty.THIN;
        return figures.readyKnown().getOrDefault(method, usual);
    }

    /** How many of what it bears go with one piece of a method: one but for divisions of several growths. */
    public int each(String method) {
        return figures.each().getOrDefault(method, 1);
    }

    /** How far down its list of usual methods one stands, 0 for the commonest; the end of the list for any other. */
    public int rank(String method) {
        int at = usual.indexOf(method);
        return at < 0 ? usual.size() : at;
    }

    /** Methods that are done with it, the usual ones first. */
    public Set<String> methods() {
        Set<String> methods = new LinkedHashSet<>(usual);
        methods.addAll(possible);
        return methods;
    }

    /** Its name, capitalised where a sentence or a list begins with it. */
    public String title() {
        return Character.toUpperCase(names.name().charAt(0)) + names.name().substring(1);
    }
}
