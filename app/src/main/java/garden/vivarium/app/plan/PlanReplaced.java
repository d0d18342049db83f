package garden.vivarium.app.plan;

import java.util.UUID;

/**
 * A plan was changed: another stands for it.
 *
 * @param old the plan that was dropped for it
 * @param now the plan that stands
 */
public record PlanReplaced(UUID old, PlanView now) {}
