package garden.vivarium.app.platform;

import java.util.UUID;

/**
 * A nursery stands as it did before: it was erased and restored from a copy. Whatever this node keeps in memory of it is of another past, and is
 * forgotten.
 *
 * @param nursery its id
 */
public record NurseryReturned(UUID nursery) {}
