package garden.vivarium.core.plan;

import java.time.LocalDate;

/**
 * The other way round: what so many pieces taken on a day would make by a way, and when.
 *
 * @param pieces pieces taken, 1 and up
 * @param youngPlants young plants, with all the time they need
 * @param expected days on which the stages are expected
 * @param inSeason whether pieces stuck then are in season
 */
public record Making(int pieces, YoungPlants youngPlants, Expected expected, boolean inSeason) {

    /**
     * What would be made.
     *
     * @param outlook what is to be expected of the way
     * @param setting where the batch would stand
     * @param start day on which pieces are taken
     * @param pieces how many, 1 and up
     */
    public static Making of(Outlook outlook, Setting setting, LocalDate start, int pieces) {
        if (pieces < 1) {
            throw new IllegalArgumentException("nothing is made of %d pieces".formatted(pieces));
        }
        return new Making(
                pieces,
                YoungPlants.of(outlook.readyInTheEnd(setting, start), pieces, outlook.output(), 1),
                outlook.expected(setting, start),
                setting.inSeason(outlook.season(), outlook.stuckOn(start)));
    }
}
