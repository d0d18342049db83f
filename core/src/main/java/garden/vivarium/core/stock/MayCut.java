package garden.vivarium.core.stock;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Whether material may be taken from a stock plant: the rules that stop mistakes. A refusal stands until a licence or purpose
 * is noted; quarantine may be overridden with a word; the rest are warnings with their reason, and the grower decides. Local
 * law decides over all of it.
 */
public final class MayCut {

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

    /** What a finding is about. */
    public enum Matter {
        /** It is gone, spent or retired. */
        GONE,
        PROTECTION,
        ORIGIN,
        QUARANTINE,
        NAME,
        REST,
        CONDITION
    }

    /** The rules. */
    public enum Step implements Rule {
        GONE,
        /** A protected variety for sale without a licence. */
        PROTECTED_FOR_SALE,
        /** A protected variety under {@code licence}. */
        PROTECTED_LICENSED,
        /** A protected variety, not for sale. */
        PROTECTED_NOT_FOR_SALE,
        /** Its origin must be shown and none is noted. */
        ORIGIN_NOT_NOTED,
        /** Its origin must be shown: {@code origin}. */
        ORIGIN_NOTED,
        /** In quarantine until {@code day}. */
        IN_QUARANTINE,
        NAME_UNSURE,
        /** Its name is not sure and can be confirmed {@code when}. */
        NAME_UNSURE_UNTIL,
        /** It rests until {@code day}. */
        RESTS,
        IN_BUD,
        IN_FLOWER,
        IN_FLOWER_ONCE,
        DORMANT,
        WOODY,
        SICK,
        DYING
    }

    /**
     * One finding.
     *
     * @param matter what it is about
     * @param weight how much it weighs
     * @param says the rule, one of {@link Step}, with its figures
     */
    public record Finding(Matter matter, Weight weight, Statement says) {
        /** Whether the grower alone decides. */
        public boolean isWarning() {
            return weight == Weight.WARNING;
        }
    }

    /** Everything that speaks against it, the gravest first. */
    public static List<Finding> judge(Plant p, Purpose purpose, LocalDate day) {
        List<Finding> found = new ArrayList<>();
        boolean licensed = isGiven(p.licence());
        if (p.condition() == Condition.GONE) {
            found.add(new Finding(Matter.GONE, Weight.REFUSED, Statement.of(Step.GONE)));
        }
        if (p.protection() == Protected.VARIETY && !licensed && purpose == Purpose.SALE) {
            found.add(new Finding(Matter.PROTECTION, Weight.REFUSED, Statement.of(Step.PROTECTED_FOR_SALE)));
        } else if (p.protection() == Protected.VARIETY) {
            found.add(new Finding(
                    Matter.PROTECTION,
                    Weight.NEEDS_WORD,
                    licensed
                            ? Statement.of(Step.PROTECTED_LICENSED, "licence", p.licence())
                            : Statement.of(Step.PROTECTED_NOT_FOR_SALE)));
        }
        if (p.protection() == Protected.ORIGIN) {
            found.add(
                    isGiven(p.origin())
                            ? new Finding(
                                    Matter.ORIGIN,
                                    Weight.WARNING,
                                    Statement.of(Step.ORIGIN_NOTED, "origin", p.origin()))
                            : new Finding(Matter.ORIGIN, Weight.NEEDS_WORD, Statement.of(Step.ORIGIN_NOT_NOTED)));
        }
        if (p.quarantineUntil() != null && day.isBefore(p.quarantineUntil())) {
            found.add(new Finding(
                    Matter.QUARANTINE,
                    Weight.NEEDS_WORD,
                    Statement.of(Step.IN_QUARANTINE, "day", p.quarantineUntil())));
        }
        if (!p.nameSure()) {
            found.add(new Finding(
                    Matter.NAME,
                    Weight.WARNING,
                    isGiven(p.confirmWhen())
                            ? Statement.of(Step.NAME_UNSURE_UNTIL, "when", p.confirmWhen())
                            : Statement.of(Step.NAME_UNSURE)));
        }
        if (p.restsUntil() != null && day.isBefore(p.restsUntil())) {
            found.add(new Finding(Matter.REST, Weight.WARNING, Statement.of(Step.RESTS, "day", p.restsUntil())));
        }
        condition(p).ifPresent(step -> found.add(new Finding(Matter.CONDITION, Weight.WARNING, Statement.of(step))));
        found.sort((a, b) -> a.weight().compareTo(b.weight()));
        return List.copyOf(found);
    }

    private static boolean isGiven(String words) {
        return words != null && !words.isBlank();
    }

    private static Optional<Step> condition(Plant p) {
        return switch (p.condition()) {
            case IN_BUD -> Optional.of(Step.IN_BUD);
            case IN_FLOWER -> Optional.of(p.flowersOnce() ? Step.IN_FLOWER_ONCE : Step.IN_FLOWER);
            case DORMANT -> Optional.of(Step.DORMANT);
            case WOODY -> Optional.of(Step.WOODY);
            case SICK -> Optional.of(Step.SICK);
            case DYING -> Optional.of(Step.DYING);
            case GROWING, GONE -> Optional.empty();
        };
    }
}
