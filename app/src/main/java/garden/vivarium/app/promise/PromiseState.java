package garden.vivarium.app.promise;

/** What has become of a promise. */
public enum PromiseState {
    OPEN,
    KEPT,
    DROPPED
}
