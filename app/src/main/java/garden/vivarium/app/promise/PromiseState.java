package garden.vivarium.app.promise;

import garden.vivarium.app.platform.Named;

/** What has become of a promise. */
public enum PromiseState implements Named {
    OPEN,
    KEPT,
    DROPPED;
}
