package garden.vivarium.app.people;

import garden.vivarium.app.platform.Role;
import java.util.UUID;

/** A nursery that somebody works in, and what they may do there; {@code sample} where it can be thrown away. */
public record WorkplaceView(UUID nursery, String name, Role role, boolean sample) {}
