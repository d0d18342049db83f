package garden.vivarium.app.batch;

import garden.vivarium.core.looks.Tallies;
import java.util.SortedMap;

/**
 * What was known of a batch by each look that could know.
 *
 * @param ready tallies of ready by day of the look
 * @param firstSign the same of first sign; empty where there is none
 */
public record AsKnown(SortedMap<Integer, Tallies> ready, SortedMap<Integer, Tallies> firstSign) {}
