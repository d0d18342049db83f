package garden.vivarium.app.plan;

import garden.vivarium.core.plan.Hedge;
import org.springframework.util.StringUtils;

/**
 * An aim split over two ways, or over two days of one.
 *
 * @param one the first way, from the day it starts
 * @param other the second
 * @param hedge how many by each, and what that gains
 */
record Split(WayRow one, WayRow other, Hedge hedge) {

    /** The one way as a sentence has it. */
    public String oneWithin() {
        return StringUtils.uncapitalize(one.protocol().title());
    }

    /** The other way as a sentence has it. */
    public String otherWithin() {
        return StringUtils.uncapitalize(other.protocol().title());
    }
}
