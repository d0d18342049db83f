package garden.vivarium.core;

import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.timing.Window;

/** Times whose way's speed is known, so that batches differ by τ alone and a window is the whole spread. */
public final class Times {

    private Times() {}

    /** Batches differ by τ, pieces by what the window leaves beside it. */
    public static RootingTime of(Window window, double tau) {
        return of(window, 0, tau);
    }

    /** The same where the way's speed is unsure by the variance V. */
    public static RootingTime of(Window window, double unsure, double tau) {
        double within = Math.sqrt(window.sigma() * window.sigma() - tau * tau);
        return new RootingTime(window.mu(), 0, unsure, tau, within, 0);
    }
}
