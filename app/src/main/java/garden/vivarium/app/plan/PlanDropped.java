package garden.vivarium.app.plan;

import java.util.List;

/**
 * A plan was dropped.
 *
 * @param plan the plan
 * @param consequences to which whoever held something by it adds what follows, in words
 */
public record PlanDropped(PlanView plan, List<String> consequences) {}
