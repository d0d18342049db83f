package garden.vivarium.core.guide;

import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Season;
import garden.vivarium.core.timing.Sign;
import garden.vivarium.core.timing.Window;
import java.util.List;
import java.util.Optional;

/**
 * A method in a medium, as a sequence of stages with waits, limits and reasons. Batches keep the version they were stuck
 * under. All windows are days since the day stuck; all rates lie between 0 and 1.
 *
 * @param key unique name, kept with batches
 * @param version raised whenever a figure changes
 * @param title as growers read it
 * @param method name of a method of the guide
 * @param medium name of a medium of the guide
 * @param treatment what is done to the piece, as in files, such as "hormone 0.3%"; empty for nothing
 * @param groups keys of the plant groups it suits
 * @param piece what a piece is
 * @param ripeness what the material should be like
 * @param season when it works at its usual speed and rate
 * @param prepare steps before sticking, in order
 * @param callus the wait between taken and stuck, where there is one
 * @param hormone what to use and how strong, or why none
 * @param vessel what the pieces stand in
 * @param spacing distance between pieces and depth
 * @param moisture at sticking, until rooted, after
 * @param water kind of water
 * @param cover cover and airing
 * @param air temperature of air and base, humidity, light
 * @param looks when and how to look
 * @param firstSign test and window of first sign; absent for families potted on day 0
 * @param ready test and window of ready
 * @param tooLong days after ready by which a piece should be moved
 * @param potting pot, mix and waits after it
 * @param rate share of pieces stuck that becomes ready
 * @param establishment share of ready pieces that settles, and in how many days
 * @param output chances that a ready piece gives one, two, three… young plants
 * @param minutesPerTen minutes of work for ten pieces, taking to label
 * @param cautions keys of cautions
 * @param why the reason behind this way
 * @param schools what other growers do, and why
 * @param thin whether knowledge is thin, so that windows are wide
 */
public record Protocol(
        String key,
        int version,
        String title,
        String method,
        String medium,
        List<String> treatment,
        List<String> groups,
        PieceSpec piece,
        String ripeness,
        Season season,
        List<String> prepare,
        Optional<Callus> callus,
        String hormone,
        Vessel vessel,
        String spacing,
        Moisture moisture,
        String water,
        String cover,
        Air air,
        Looks looks,
        Optional<Test> firstSign,
        Test ready,
        int tooLong,
        Potting potting,
        double rate,
        Establishment establishment,
        OutputRatio output,
        int minutesPerTen,
        List<String> cautions,
        String why,
        List<School> schools,
        boolean thin) {

    /** A piece: kind, length in mm and nodes where they matter, what is left on it. */
    public record PieceSpec(String kind, Optional<Integer> lengthMm, Optional<Integer> nodes, String leaves) {}

    /** Days to dry before sticking, from thin to thick pieces, and the share that survives them. */
    public record Callus(int least, int most, double survival, String seal) {
        /** The day on which the round asks whether it has callused: the middle of the wait. */
        public int usual() {
            return (least + most + 1) / 2;
        }
    }

    /** What the pieces stand in; whether roots can be seen through its wall. */
    public record Vessel(String words, boolean clear) {}

    /** How moist the medium is kept. */
    public record Moisture(String atSticking, String untilRooted, String after) {}

    /** Temperatures in °C, humidity and light. */
    public record Air(String temperature, String humidity, String light) {}

    /** First look and the shortest and longest time between looks, in days, and the usual kind. */
    public record Looks(int first, int least, int most, LookKind kind) {}

    /**
     * How a milestone is told.
     *
     * @param sign by roots or by shoots
     * @param test in words
     * @param rootMm root length in mm that passes it, where it is told by length
     * @param days tenth to ninetieth percentile
     */
    public record Test(Sign sign, String test, Optional<Integer> rootMm, Window days) {}

    /** Pot, mix, pieces in a pot, days before water and weeks before feed. */
    public record Potting(String pot, String mix, int perPot, int waitForWater, int weeksBeforeFeed) {}

    /** Share of ready pieces that settle after the move, and the days until they have. */
    public record Establishment(double rate, int days) {}

    /** What another school says, and its reason. */
    public record School(String says, String reason) {}
}
