package garden.vivarium.app.plan;

import garden.vivarium.core.plan.Hedge;

/**
 * An aim split over two ways, or over two days of one.
 *
 * @param one the first way, from the day it starts
 * @param other the second
 * @param hedge how many by each, and what that gains
 */
record Split(WayRow one, WayRow other, Hedge hedge) {}
