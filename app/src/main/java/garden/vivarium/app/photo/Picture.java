package garden.vivarium.app.photo;

/**
 * A picture as it is kept: JPEG made here from the dots alone, so that nothing else of the file comes along.
 *
 * @param large at most 1,600 dots either way
 * @param small for lists, at most 320 either way
 * @param width of the large one
 * @param height of the large one
 */
record Picture(byte[] large, byte[] small, int width, int height) {}
