package garden.vivarium.core.stock;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Whether material may be taken from a stock plant: the rules that stop mistakes. A refusal stands until a licence or purpose
 * is noted; quarantine may be overridden with a word; the rest are warnings with their reason, and the grower decides. Local
 * law decides over all of it.
 */
public final class MayCut {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.UK);

    private MayCut() {}

    /** Whether a plant may be propagated freely. */
    public enum Protected {
        FREE,
        /** A protected variety: only with a licence, or for study. */
        VARIETY,
        /** Its origin must be shown. */
        ORIGIN
    }

    /** What the pieces are for. */
    public enum Purpose {
        SALE,
        STUDY,
        KEEPING
    }

    /** How the plant is. */
    public enum Condition {
        GROWING,
        IN_BUD,
        IN_FLOWER,
        DORMANT,
        WOODY,
        SICK,
        DYING,
        GONE
    }

    /**
     * What is known of the plant.
     *
     * @param protection of its variety
     * @param licence licence number or words; blank for none
     * @param origin where from; blank for not known
     * @param nameSure whether its name is sure
     * @param confirmWhen when an unsure name can be confirmed, in words; blank for not said
     * @param quarantineUntil first day out of quarantine; null for none
     * @param restsUntil first day on which it may be cut again; null for any
     * @param condition how it is
     * @param flowersOnce whether it dies after flowering
     */
    public record Plant(
            Protected protection,
            String licence,
            String origin,
            boolean nameSure,
            String confirmWhen,
            LocalDate quarantineUntil,
            LocalDate restsUntil,
            Condition condition,
            boolean flowersOnce) {}

    /** How much a finding weighs. */
    public enum Weight {
        /** Not to be done as asked. */
        REFUSED,
        /** To be done only with a word of reason. */
        NEEDS_WORD,
        /** The grower decides. */
        WARNING
    }

    /**
     * One finding.
     *
     * @param rule its name
     * @param weight how much it weighs
     * @param why the reason
     * @param remedy what would do
     */
    public record Finding(String rule, Weight weight, String why, String remedy) {
        /** Whether the grower alone decides. */
        public boolean isWarning() {
            return weight == Weight.WARNING;
        }

        /** Reason and remedy in one. */
        public String words() {
            return why + " " + remedy;
        }
    }

    /** Everything that speaks against it, the gravest first. */
    public static List<Finding> judge(Plant p, Purpose purpose, LocalDate day) {
        List<Finding> found = new ArrayList<>();
        boolean licensed = p.licence() != null && !p.licence().isBlank();
        if (p.condition() == Condition.GONE) {
            found.add(new Finding(
                    "gone", Weight.REFUSED, "It is spent.", "Choose another stock plant, or one of its offspring."));
        }
        if (p.protection() == Protected.VARIETY && !licensed && purpose == Purpose.SALE) {
            found.add(new Finding(
                    "protected",
                    Weight.REFUSED,
                    "A protected variety is not propagated for sale without its breeder's licence.",
                    "Note the licence with the plant, or say that it is for study. Local law decides."));
        } else if (p.protection() == Protected.VARIETY) {
            found.add(new Finding(
                    "protected",
                    Weight.NEEDS_WORD,
                    licensed
                            ? "A protected variety, under licence %s.".formatted(p.licence())
                            : "A protected variety, not for sale.",
                    "Write the licence or the purpose; it is kept with the plan. Local law decides."));
        }
        if (p.protection() == Protected.ORIGIN
                && (p.origin() == null || p.origin().isBlank())) {
            found.add(new Finding(
                    "origin",
                    Weight.NEEDS_WORD,
                    "Its origin must be shown and none is noted.",
                    "Note where it came from, and ask the authority what papers it needs."));
        } else if (p.protection() == Protected.ORIGIN) {
            found.add(new Finding(
                    "origin",
                    Weight.WARNING,
                    "Its origin must be shown: %s.".formatted(p.origin()),
                    "Keep the proof with the young plants; local rules decide."));
        }
        if (p.quarantineUntil() != null && day.isBefore(p.quarantineUntil())) {
            found.add(new Finding(
                    "quarantine",
                    Weight.NEEDS_WORD,
                    "In quarantine until %s: pieces carry its pests with them."
                            .formatted(DAY.format(p.quarantineUntil())),
                    "Wait until it is out, or say why not; then keep the batch apart."));
        }
        if (!p.nameSure()) {
            found.add(new Finding(
                    "name",
                    Weight.WARNING,
                    "Its name is not sure.",
                    p.confirmWhen() == null || p.confirmWhen().isBlank()
                            ? "Label young plants as unconfirmed."
                            : "Label young plants as unconfirmed; it can be confirmed %s.".formatted(p.confirmWhen())));
        }
        if (p.restsUntil() != null && day.isBefore(p.restsUntil())) {
            found.add(new Finding(
                    "rest",
                    Weight.WARNING,
                    "It rests after its last harvest, until %s.".formatted(DAY.format(p.restsUntil())),
                    "Cut later, or take less: a tired plant gives poor pieces."));
        }
        condition(p).ifPresent(found::add);
        found.sort((a, b) -> a.weight().compareTo(b.weight()));
        return List.copyOf(found);
    }

    private static java.util.Optional<Finding> condition(Plant p) {
        return java.util.Optional.ofNullable(
                switch (p.condition()) {
                    case IN_BUD ->
                        warn("In bud: buds draw on what roots need.", "Take shoots without buds, or pinch them out.");
                    case IN_FLOWER ->
                        p.flowersOnce()
                                ? warn(
                                        "It is in flower and will die after it.",
                                        "Its offsets are the succession: take them as they reach a third of its size.")
                                : warn(
                                        "In flower: flowering shoots root poorly.",
                                        "Take shoots without flowers, or wait.");
                    case DORMANT ->
                        warn(
                                "Dormant: nothing moves until it wakes.",
                                "Wait until it wakes, unless the way wants resting wood.");
                    case WOODY ->
                        warn(
                                "Woody: old wood roots slowly.",
                                "Cut it back and take what shoots, or use a way for firm wood.");
                    case SICK ->
                        warn(
                                "Sick: pieces carry it on.",
                                "Cure it first; if it must be saved, take the cleanest tips and keep them apart.");
                    case DYING -> warn("Dying: there may be no second harvest.", "Take all that is sound now.");
                    case GROWING, GONE -> null;
                });
    }

    private static Finding warn(String why, String remedy) {
        return new Finding("condition", Weight.WARNING, why, remedy);
    }
}
