package garden.vivarium.app.platform;

import java.time.Instant;

/** A correction: of what, why, by whom and when. */
public record CorrectionView(CorrectedFact fact, String why, String by, Instant at) {}
