package garden.vivarium.core.guide;

import garden.vivarium.core.ProtocolKey;
import garden.vivarium.core.measure.PotSize;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Spacing;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Season;
import garden.vivarium.core.timing.Sign;
import garden.vivarium.core.timing.Window;
import garden.vivarium.core.treatment.Treatments;
import java.util.List;
import java.util.Optional;

/**
 * A method in a medium, as a sequence of stages with waits, limits and reasons, in parts. Batches keep the version they were
 * stuck under. All windows are days since the day stuck; all rates lie between 0 and 1.
 *
 * @param identity which protocol it is
 * @param technique method, medium and treatment
 * @param material what is taken, of what, and when
 * @param wound what is done to a piece before it is stuck
 * @param placing in what, how far apart and how deep
 * @param keeping water and air until they are moved
 * @param course when and how to look, and what is told and done on the way
 * @param potting the move and what follows it
 * @param figures what is to be expected of it, in numbers
 * @param reasons why, what others do, and what to mind
 */
public record Protocol(
        Identity identity,
        Technique technique,
        Material material,
        Wound wound,
        Placing placing,
        Keeping keeping,
        Course course,
        Potting potting,
        Figures figures,
        Reasons reasons) {

    /**
     * Which protocol it is.
     *
     * @param key unique name, kept with batches
     * @param version raised whenever a figure changes
     * @param title as growers read it
     */
    public record Identity(String key, int version, String title) {}

    /**
     * By what it is told apart from other ways.
     *
     * @param method name of a method of the guide
     * @param medium name of a medium of the guide, in which pieces are stuck
     * @param then media that follow it in turn, as compost after water; mostly empty
     * @param treatment what is done to the piece
     */
    public record Technique(String method, String medium, List<String> then, Treatments treatment) {}

    /**
     * What is taken.
     *
     * @param groups keys of the plant groups it suits
     * @param piece what a piece is
     * @param ripeness what the material should be like
     * @param season when it works at its usual speed and rate
     */
    public record Material(List<String> groups, PieceSpec piece, Prose ripeness, Season season) {}

    /** A piece: kind, length in mm and nodes where they matter, what is left on it. */
    public record PieceSpec(String kind, Optional<Integer> lengthMm, Optional<Integer> nodes, Prose leaves) {}

    /**
     * What is done before sticking.
     *
     * @param prepare steps, in order
     * @param callus the wait between taken and stuck, where there is one
     * @param hormone whether it is needed, and what to use and how strong, or why none
     */
    public record Wound(List<Prose> prepare, Optional<Callus> callus, Hormone hormone) {}

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
    }

    /**
     * How a piece is set.
     *
     * @param vessel what the pieces stand in
     * @param spacing distance between pieces
     * @param depth what goes below the surface and what stays clear
     */
    public record Placing(Vessel vessel, Spacing spacing, Prose depth) {}

    /** What the pieces stand in; of which kind; whether roots can be seen through its wall; depth of medium or water in cm. */
    public record Vessel(Prose words, Kind kind, boolean clear, int depthCm) {
        /** Whether it is a tray of cells, another tray, or anything else. */
        public enum Kind {
            CELLS,
            TRAY,
            OTHER;

            /** What words say of it: "a 72-cell plug tray" has cells, "a seed tray" is a tray. */
            public static Kind of(String words) {
                return words.contains("plug") ? CELLS : words.contains("tray") ? TRAY : OTHER;
            }
        }
    }

    /** How they are kept until they are moved. */
    public record Keeping(Water water, Air air) {}

    /** Kind of water, and how moist the medium is kept: at sticking, until rooted, after. */
    public record Water(String kind, Prose atSticking, Prose untilRooted, Prose after) {}

    /**
     * Air and light.
     *
     * @param cover cover and airing
     * @param warmth of the air, one spell after another; empty where it is as it comes
     * @param base warmth from below, where there is any
     * @param remark what else is to be said of warmth, as "outdoors"; mostly empty
     * @param humidity in words
     * @param light in words
     * @param lampHours hours of lamp where there is no day; 0 for none
     */
    public record Air(
            String cover,
            List<Warmth> warmth,
            Optional<Warmth> base,
            Prose remark,
            String humidity,
            String light,
            int lampHours) {}

    /**
     * What happens from the day stuck to the move.
     *
     * @param looks when and how to look
     * @param firstSign test and window of first sign; absent for families potted on day 0
     * @param ready test and window of ready
     * @param stages what else is done while the pieces are kept, in order: by day, or when something is seen
     * @param tooLong days after ready by which a piece should be moved
     * @param inTurn days between takings where a piece gives young plants again and again and stays; empty where each piece
     *     is moved whole
     */
    public record Course(
            Looks looks,
            Optional<Test> firstSign,
            Test ready,
            List<Stage> stages,
            int tooLong,
            Optional<Integer> inTurn) {

        /** The stages in a medium: what has water standing in it from the first day is not begun to be watered later. */
        public List<Stage> stagesIn(String medium) {
            boolean standing = medium.contains("water") || medium.contains("reserve");
            return standing
                    ? stages.stream().filter(s -> !s.key().equals("water")).toList()
                    : stages;
        }
    }

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
    public record Test(Sign sign, Prose test, Optional<Integer> rootMm, Window days) {}

    /**
     * Something done while pieces are kept: so many days after the stage before it, or when something is seen.
     *
     * @param key its name within the protocol, kept with batches
     * @param act what is done
     * @param after days after the stage before it (for the first, after the day stuck); empty where it waits to be seen
     * @param when what must be seen first; empty where it goes by days
     * @param startsClock whether days to first sign and ready are counted from it, as from waking
     */
    public record Stage(String key, Prose act, Optional<Integer> after, Optional<When> when, boolean startsClock) {
        public Stage {
            if (after.isPresent() == when.isPresent()) {
                throw new IllegalArgumentException("stage " + key + " goes either by days or by what is seen");
            }
        }
    }

    /** What must be seen: the question, the day on which it is first asked, and the days between askings. */
    public record When(Prose ask, int first, int every) {}

    /** Pot, mix, pieces in a pot, days before water and weeks before feed. */
    public record Potting(PotSize pot, String mix, int perPot, int waitForWater, int weeksBeforeFeed) {}

    /**
     * What the guide expects before a nursery has batches of its own.
     *
     * @param rate share of pieces stuck that becomes ready
     * @param establishment share of ready pieces that settles, and in how many days
     * @param output chances that a ready piece gives one, two, three… young plants
     * @param minutesPerTen minutes of work for ten pieces, taking to label
     * @param thin whether knowledge is thin, so that windows are wide
     */
    public record Figures(
            double rate, Establishment establishment, OutputRatio output, int minutesPerTen, boolean thin) {}

    /** Share of ready pieces that settle after the move, and the days until they have. */
    public record Establishment(double rate, int days) {}

    /** Keys of cautions; the reason behind this way; what other growers do, and why. */
    public record Reasons(List<String> cautions, String why, List<School> schools) {}

    /** What another school says, and its reason. */
    public record School(String says, String reason) {}

    public String key() {
        return identity.key();
    }

    public int version() {
        return identity.version();
    }

    public String title() {
        return identity.title();
    }

    public String method() {
        return technique.method();
    }

    public String medium() {
        return technique.medium();
    }

    public List<String> groups() {
        return material.groups();
    }

    /** Test and window of first sign; absent for families potted on day 0. */
    public Optional<Test> firstSign() {
        return course.firstSign();
    }

    /** Test and window of ready. */
    public Test ready() {
        return course.ready();
    }

    /** The stage from which days are counted, where that is not the day stuck. */
    public Optional<Stage> clockStage() {
        return course.stages().stream().filter(Stage::startsClock).findFirst();
    }

    /** Whether this is a nursery's own protocol rather than one of the guide. */
    public boolean isOwn() {
        return ProtocolKey.isOwn(key());
    }

    /** The same figures and words as another version, under its number. */
    public Protocol asVersion(int number) {
        return under(new Identity(key(), number, title()));
    }

    /** The same as a protocol of the nursery's own. */
    public Protocol asOwn(String name, String ownTitle) {
        return under(new Identity(ProtocolKey.own(name), 1, ownTitle));
    }

    private Protocol under(Identity other) {
        return new Protocol(other, technique, material, wound, placing, keeping, course, potting, figures, reasons);
    }
}
