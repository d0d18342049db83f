package garden.vivarium.app.people;

import garden.vivarium.app.platform.Role;
import java.util.UUID;

/** Somebody who may sign in. */
public record PersonView(UUID id, String signIn, String name, Role role) {}
