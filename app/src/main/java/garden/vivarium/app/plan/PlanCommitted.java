package garden.vivarium.app.plan;

/**
 * A plan was committed for somebody or some occasion.
 *
 * @param plan the plan
 * @param forWhom to whom its young plants are owed, never blank
 */
public record PlanCommitted(PlanView plan, String forWhom) {}
