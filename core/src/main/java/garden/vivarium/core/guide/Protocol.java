package garden.vivarium.core.guide;

import garden.vivarium.core.ProtocolKey;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Season;
import garden.vivarium.core.timing.Sign;
import garden.vivarium.core.timing.Window;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A method in a medium, as a sequence of stages with waits, limits and reasons. Batches keep the version they were stuck
 * under. All windows are days since the day stuck; all rates lie between 0 and 1.
 *
 * @param key unique name, kept with batches
 * @param version raised whenever a figure changes
 * @param title as growers read it
 * @param method name of a method of the guide
 * @param medium name of a medium of the guide, in which pieces are stuck
 * @param then media that follow it in turn, as compost after water; mostly empty
 * @param treatment what is done to the piece, as in files, such as "hormone 0.3%"; empty for nothing
 * @param groups keys of the plant groups it suits
 * @param piece what a piece is
 * @param ripeness what the material should be like
 * @param season when it works at its usual speed and rate
 * @param prepare steps before sticking, in order
 * @param callus the wait between taken and stuck, where there is one
 * @param hormone whether it is needed, and what to use and how strong, or why none
 * @param vessel what the pieces stand in
 * @param spacing distance between pieces
 * @param depth what goes below the surface and what stays clear
 * @param moisture at sticking, until rooted, after
 * @param water kind of water
 * @param cover cover and airing
 * @param air temperature of air and base, humidity, light, hours of lamp
 * @param looks when and how to look
 * @param firstSign test and window of first sign; absent for families potted on day 0
 * @param ready test and window of ready
 * @param stages what else is done while the pieces are kept, in order: by day, or when something is seen
 * @param tooLong days after ready by which a piece should be moved
 * @param inTurn days between takings where a piece gives young plants again and again and stays; empty where each piece is moved whole
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
        List<String> then,
        List<String> treatment,
        List<String> groups,
        PieceSpec piece,
        String ripeness,
        Season season,
        List<String> prepare,
        Optional<Callus> callus,
        Hormone hormone,
        Vessel vessel,
        String spacing,
        String depth,
        Moisture moisture,
        String water,
        String cover,
        Air air,
        Looks looks,
        Optional<Test> firstSign,
        Test ready,
        List<Stage> stages,
        int tooLong,
        Optional<Integer> inTurn,
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

    /** Whether hormone is none, optional or needed, and what in words. */
    public record Hormone(Need need, String what) {
        /** How much it matters. */
        public enum Need {
            NONE,
            OPTIONAL,
            NEEDED
        }

        /** "none: it washes off", "optional: 0.3%". */
        public String words() {
            return need.name().toLowerCase(Locale.ROOT) + ": " + what;
        }
    }

    /** What the pieces stand in; whether roots can be seen through its wall; depth of medium or water in cm. */
    public record Vessel(String words, boolean clear, int depthCm) {}

    /** How moist the medium is kept. */
    public record Moisture(String atSticking, String untilRooted, String after) {}

    /** Temperatures of air and base in °C, humidity, light, hours of lamp where there is no day. */
    public record Air(String temperature, String base, String humidity, String light, int lampHours) {}

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

    /**
     * Something done while pieces are kept: so many days after the stage before it, or when something is seen.
     *
     * @param key its name within the protocol, kept with batches
     * @param act what is done
     * @param after days after the stage before it (for the first, after the day stuck); empty where it waits to be seen
     * @param when what must be seen first; empty where it goes by days
     * @param startsClock whether days to first sign and ready are counted from it, as from waking
     */
    public record Stage(String key, String act, Optional<Integer> after, Optional<When> when, boolean startsClock) {
        public Stage {
            if (after.isPresent() == when.isPresent()) {
                throw new IllegalArgumentException("stage " + key + " goes either by days or by what is seen");
            }
        }
    }

    /** What must be seen: the question, the day on which it is first asked, and the days between askings. */
    public record When(String ask, int first, int every) {}

    /** The stage from which days are counted, where that is not the day stuck. */
    public Optional<Stage> clockStage() {
        return stages.stream().filter(Stage::startsClock).findFirst();
    }

    /** Whether this is a nursery's own protocol rather than one of the guide. */
    public boolean isOwn() {
        return ProtocolKey.isOwn(key);
    }

    /** The same figures and words as another version, under its number. */
    public Protocol asVersion(int number) {
        return with(key, number, title);
    }

    /** The same as a protocol of the nursery's own. */
    public Protocol asOwn(String name, String ownTitle) {
        return with(ProtocolKey.own(name), 1, ownTitle);
    }

    private Protocol with(String newKey, int newVersion, String newTitle) {
        return new Protocol(
                newKey,
                newVersion,
                newTitle,
                method,
                medium,
                then,
                treatment,
                groups,
                piece,
                ripeness,
                season,
                prepare,
                callus,
                hormone,
                vessel,
                spacing,
                depth,
                moisture,
                water,
                cover,
                air,
                looks,
                firstSign,
                ready,
                stages,
                tooLong,
                inTurn,
                potting,
                rate,
                establishment,
                output,
                minutesPerTen,
                cautions,
                why,
                schools,
                thin);
    }

    /** Pot, mix, pieces in a pot, days before water and weeks before feed. */
    public record Potting(String pot, String mix, int perPot, int waitForWater, int weeksBeforeFeed) {}

    /** Share of ready pieces that settle after the move, and the days until they have. */
    public record Establishment(double rate, int days) {}

    /** What another school says, and its reason. */
    public record School(String says, String reason) {}
}
