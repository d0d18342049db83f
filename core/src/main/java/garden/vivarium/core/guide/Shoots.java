package garden.vivarium.core.guide;

import java.util.Optional;

/**
 * Sorts of piece that share the shoots of a plant: a shoot is one tip, or its sections. Taking the one uses up the other, and what is
 * counted of the one implies how much there is of the other at the most.
 *
 * @param sections sections, or leaf-buds, that one shoot gives, 1 and up
 */
public record Shoots(int sections) {

    /** Key of the sort of shoot tips. */
    public static final String TIPS = "shoot-tips";

    /** Key of the sort of stem sections. */
    public static final String SECTIONS = "stem-sections";

    public Shoots {
        if (sections < 1) {
            throw new IllegalArgumentException("a shoot gives 1 section or more, not " + sections);
        }
    }

    /** The sort that shares the shoots of another; empty for sorts that are not cut from shoots. */
    public static Optional<String> other(String sort) {
        return switch (sort) {
            case TIPS -> Optional.of(SECTIONS);
            case SECTIONS -> Optional.of(TIPS);
            default -> Optional.empty();
        };
    }

    /**
     * How many of the other sort are gone with pieces that were taken: the sections of as many shoots, or the tips of the shoots that
     * were begun.
     *
     * @param sort key of the sort that was taken
     * @param pieces how many, 0 and up
     */
    public int usedUp(String sort, int pieces) {
        return sort.equals(TIPS) ? pieces * sections : (pieces + sections - 1) / sections;
    }

    /**
     * How many of a sort there are at the most by what is counted of the other.
     *
     * @param sort key of the sort that was not counted
     * @param counted of the other sort, 0 and up
     */
    public int implied(String sort, int counted) {
        return sort.equals(TIPS) ? counted / sections : counted * sections;
    }
}
