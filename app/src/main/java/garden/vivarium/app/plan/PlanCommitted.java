package garden.vivarium.app.plan;

import java.util.Map;

/**
 * Plans for one aim were committed for somebody or some occasion.
 *
 * @param plans one plan, or two of a split, each with the young plants that are to come of it
 * @param forWhom to whom the young plants are owed, never blank
 */
public record PlanCommitted(Map<PlanView, Integer> plans, String forWhom) {}
