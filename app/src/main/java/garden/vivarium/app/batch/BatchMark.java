package garden.vivarium.app.batch;

import java.util.UUID;

/**
 * By what a batch's row is told from what it was. The name of its plant follows the plant, without another version.
 *
 * @param version raised whenever the row is written
 */
record BatchMark(UUID id, long version, UUID plantId, String plantName, String plantKind, String plantGroup) {}
