package garden.vivarium.app.plan;

/** What has become of a plan. */
public enum PlanState {
    PLANNED,
    STUCK,
    DROPPED
}
