package garden.vivarium.core.plan;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;
import org.hipparchus.random.RandomDataGenerator;

/**
 * More wanted than the stock can give: cut, grow on, cut again. Each stock plant gives a flush of pieces, rests, and gives the
 * next; of the young plants that come of each flush some are kept as stock plants until the generation has its number, the
 * others are for sale. Simulated with batches of unequal rate and speed, and with losses, from a fixed seed; the working of a
 * generation without chance is held by a test to a hand-worked example.
 *
 * @param keeps new stock plants kept in each generation
 * @param early day by which a tenth of the runs have reached the number; empty where that is not within the horizon
 * @param middle day by which half of them have
 * @param late day by which nine tenths have
 * @param course young plants at every step of days: tenth, middle, ninetieth
 * @param inTime chance of reaching the number by the day due: (runs that do + ½) ÷ (runs + 1), since runs are finitely many
 */
public record BuildUp(
        List<Integer> keeps,
        Optional<Integer> early,
        Optional<Integer> middle,
        Optional<Integer> late,
        List<Point> course,
        double inTime) {

    /** New stock plants kept in the second generation; 0 for none. */
    public int secondKeep() {
        return keeps.size() > 1 ? keeps.get(1) : 0;
    }

    private static final int RUNS = 300;
    /** Runs with which numbers to keep are compared, before the one chosen is run in full. */
    private static final int TRIAL_RUNS = 60;

    private static final long SEED = 4811;
    private static final int STEP = 14;
    private static final int WORTH_DAYS = 7;
    private static final double LEAST_RHO = 1e-3;
    private static final double LEAST_MEAN = 1e-4;

    /** Young plants so far on a day: in one of ten runs fewer, in half, in one of ten more. */
    public record Point(int day, int tenth, int middle, int ninetieth) {}

    /**
     * What is known beforehand.
     *
     * @param stock the stock plants
     * @param way how young plants are made of their pieces
     * @param wanted young plants for sale, 1 and up
     * @param horizon days looked ahead, 1 and up
     * @param due the day by which they are wanted, within the horizon
     */
    public record Inputs(Stock stock, ByWay way, int wanted, int horizon, int due) {

        /**
         * The stock plants.
         *
         * @param plants to begin with, 1 and up
         * @param flush pieces that a grown one gives at once, 1 and up
         * @param restDays days between two flushes of one, 1 and up
         * @param growDays days from a settled young plant to its first flush, 0 and up
         */
        public record Stock(int plants, int flush, int restDays, int growDays) {}

        /**
         * How young plants are made of pieces.
         *
         * @param doubt what is not known of the way: one draw of it holds for all batches of a run
         * @param stages what callus and settling let through, each drawn for every batch
         * @param settleDays days from ready to settled, with callus before day 0
         * @param plantsPerPiece young plants of a piece that succeeds, on average, 1 and up
         */
        public record ByWay(SharedDoubt doubt, List<NextBatch> stages, int settleDays, double plantsPerPiece) {

            public ByWay {
                stages = List.copyOf(stages);
            }
        }

        public Inputs {
            if (stock.plants() < 1
                    || stock.flush() < 1
                    || stock.restDays() < 1
                    || stock.growDays() < 0
                    || wanted < 1
                    || horizon < 1) {
                throw new IllegalArgumentException(
                        "a build-up needs a stock plant, a piece a flush, a day of rest, something wanted and time");
            }
        }

        /** The mean share of pieces that come to be settled young plants. */
        double rate() {
            return way.doubt().strike().mean()
                    * way.stages().stream().mapToDouble(NextBatch::mean).reduce(1, (a, b) -> a * b);
        }

        /** The day by which most of a batch are ready, where the way runs slower by so much in ln(days). */
        double mostReady(double slower) {
            RootingTime time = way.doubt().time();
            return Math.exp(time.mu() + slower + MOST_READY * time.within());
        }
    }

    /** The eightieth percentile of the normal law: by then most of a batch stand. */
    private static final double MOST_READY = 0.8416212335729143;

    /** What holds for all batches of one run: the way's mean rate and how much slower than thought it runs. */
    record Drawn(double mean, double slower) {

        static Drawn of(SharedDoubt doubt, RandomDataGenerator draws) {
            return new Drawn(
                    draws.nextBeta(doubt.strike().alpha(), doubt.strike().beta()),
                    doubt.time().unsure() == 0
                            ? 0
                            : draws.nextNormal(0, Math.sqrt(doubt.time().unsure())));
        }
    }

    /**
     * The numbers to keep that reach what is wanted sooner by a week or more than fewer would: every pair of a small set for two
     * generations is tried.
     */
    public static BuildUp best(Inputs known) {
        BuildUp best = simulate(known, List.of(), TRIAL_RUNS);
        for (int first : candidates(known, known.stock().plants())) {
            for (int second :
                    first == 0 ? new int[] {0} : candidates(known, known.stock().plants() + first)) {
                List<Integer> keeps = first == 0 ? List.of() : second == 0 ? List.of(first) : List.of(first, second);
                BuildUp tried = simulate(known, keeps, TRIAL_RUNS);
                if (tried.isBetterThan(best)) {
                    best = tried;
                }
            }
        }
        return simulate(known, best.keeps());
    }

    static int[] candidates(Inputs known, int stock) {
        int most = Math.max(1, known.wanted() / 2);
        return Arrays.stream(new double[] {0, 1, 2, 4, 8, 16})
                .mapToInt(times -> (int) Math.min(most, Math.round(times * stock)))
                .distinct()
                .toArray();
    }

    /** New stock plants are work and room: they must gain a week, or more plants where the number is never reached. */
    boolean isBetterThan(BuildUp other) {
        if (middle.isPresent() && other.middle.isPresent()) {
            return middle.get() <= other.middle.get() - WORTH_DAYS;
        }
        return middle.isPresent()
                || (other.middle.isEmpty() && last().middle() > other.last().middle());
    }

    private Point last() {
        return course.get(course.size() - 1);
    }

    /** How a given choice of numbers to keep would go. */
    public static BuildUp simulate(Inputs known, List<Integer> keeps) {
        return simulate(known, keeps, RUNS);
    }

    private static BuildUp simulate(Inputs known, List<Integer> keeps, int runs) {
        RandomDataGenerator draws = new RandomDataGenerator(SEED);
        int points = known.horizon() / STEP + 1;
        int[][] soFar = new int[points][runs];
        int[] reached = new int[runs];
        int inTime = 0;
        for (int run = 0; run < runs; run++) {
            Drawn drawn = Drawn.of(known.way().doubt(), draws);
            List<int[]> sold = run(known, keeps, (n, age) -> young(known, drawn, n, draws));
            int total = 0;
            int at = 0;
            reached[run] = Integer.MAX_VALUE;
            for (int[] s : sold) {
                while (at < points && at * STEP < s[0]) {
                    soFar[at++][run] = total;
                }
                total += s[1];
                if (total >= known.wanted() && reached[run] == Integer.MAX_VALUE) {
                    reached[run] = s[0];
                }
            }
            while (at < points) {
                soFar[at++][run] = total;
            }
            inTime += reached[run] <= known.due() ? 1 : 0;
        }
        Arrays.sort(reached);
        List<Point> course = new ArrayList<>();
        for (int i = 0; i < points; i++) {
            Arrays.sort(soFar[i]);
            course.add(new Point(i * STEP, soFar[i][runs / 10], soFar[i][runs / 2], soFar[i][9 * runs / 10]));
        }
        return new BuildUp(
                keeps,
                within(reached[runs / 10]),
                within(reached[runs / 2]),
                within(reached[9 * runs / 10]),
                course,
                (inTime + 0.5) / (runs + 1));
    }

    private static Optional<Integer> within(int day) {
        return day == Integer.MAX_VALUE ? Optional.empty() : Optional.of(day);
    }

    /** Of a flush, how many young plants come and after how many days they stand settled. */
    interface Yield {
        int[] of(int pieces, int generation);
    }

    /** A stock plant, or several alike, that may be cut on a day. */
    private record Cut(int day, int plants, int generation) {}

    /** One run: days on which young plants for sale stand settled, in order, with how many. */
    static List<int[]> run(Inputs known, List<Integer> keeps, Yield yield) {
        PriorityQueue<Cut> cuts = new PriorityQueue<>((a, b) -> Integer.compare(a.day(), b.day()));
        PriorityQueue<int[]> settled = new PriorityQueue<>((a, b) -> Integer.compare(a[0], b[0]));
        int[] toKeep = keeps.stream().mapToInt(Integer::intValue).toArray();
        cuts.add(new Cut(0, known.stock().plants(), 0));
        List<int[]> sold = new ArrayList<>();
        int total = 0;
        while (total < known.wanted() && (!cuts.isEmpty() || !settled.isEmpty())) {
            boolean cutNext =
                    settled.isEmpty() || (!cuts.isEmpty() && cuts.peek().day() < settled.peek()[0]);
            if (cutNext) {
                Cut cut = cuts.poll();
                if (cut.day() > known.horizon()) {
                    continue;
                }
                int[] young = yield.of(cut.plants() * known.stock().flush(), cut.generation());
                settled.add(new int[] {cut.day() + young[1], young[0], cut.generation()});
                cuts.add(new Cut(cut.day() + known.stock().restDays(), cut.plants(), cut.generation()));
            } else {
                int[] now = settled.poll();
                if (now[0] > known.horizon()) {
                    continue;
                }
                int next = now[2];
                int kept = next < toKeep.length ? Math.min(toKeep[next], now[1]) : 0;
                if (kept > 0) {
                    toKeep[next] -= kept;
                    cuts.add(new Cut(now[0] + known.stock().growDays(), kept, next + 1));
                }
                sold.add(new int[] {now[0], now[1] - kept});
                total += now[1] - kept;
            }
        }
        return sold;
    }

    /** Young plants of so many pieces, and the day by which the last of them stands. */
    static int[] young(Inputs known, Drawn drawn, int pieces, RandomDataGenerator draws) {
        double rho = Math.max(LEAST_RHO, known.way().doubt().strike().rho());
        double mean = Math.max(LEAST_MEAN, Math.min(1 - LEAST_MEAN, drawn.mean()));
        double p = draws.nextBeta(mean * (1 - rho) / rho, (1 - mean) * (1 - rho) / rho);
        for (NextBatch stage : known.way().stages()) {
            p *= draws.nextBeta(stage.a(), stage.b());
        }
        int n = succeed(pieces, p, draws);
        double tau = known.way().doubt().time().tau();
        double slower = drawn.slower() + (tau == 0 ? 0 : draws.nextNormal(0, tau));
        int plants = (int) Math.floor(n * known.way().plantsPerPiece());
        return new int[] {
            plants, (int) Math.round(known.mostReady(slower)) + known.way().settleDays()
        };
    }

    /** A binomial draw: piece by piece up to a hundred, beyond that by the normal law, which batches' spread drowns. */
    static int succeed(int pieces, double p, RandomDataGenerator draws) {
        if (pieces > 100) {
            double drawn = draws.nextNormal(pieces * p, Math.sqrt(pieces * p * (1 - p)) + 1e-9);
            return (int) Math.max(0, Math.min(pieces, Math.round(drawn)));
        }
        int n = 0;
        for (int i = 0; i < pieces; i++) {
            n += draws.nextUniform(0, 1) < p ? 1 : 0;
        }
        return n;
    }

    /** Question and steps of its working. */
    public enum Step implements Rule {
        /** When would it be reached. */
        WHEN,
        /** A flush of {@code stock} × {@code flush} pieces at {@code rate}: {@code plants}. */
        FLUSH,
        /** From cut to cut {@code rest} days; by a new plant {@code ready} + {@code settling} + {@code growing} = {@code whole}. */
        FROM_CUT_TO_CUT,
        /** Keeping none reaches it as soon. */
        KEEPING_NONE,
        /** New stock plants kept, generation by generation: {@code keeps}. */
        KEEPING,
        /** Of {@code runs} runs half reach it by day {@code middle}, nine in ten by day {@code late}, 0 for not at all. */
        RUNS,
        /** Of {@code runs} runs fewer than half reach it within {@code horizon} days. */
        RUNS_FALL_SHORT
    }

    /** How it came about. */
    public Working working(Inputs known) {
        double perPiece = known.rate() * known.way().plantsPerPiece();
        List<Statement> steps = new ArrayList<>();
        steps.add(Statement.of(
                Step.FLUSH,
                "stock",
                known.stock().plants(),
                "flush",
                known.stock().flush(),
                "rate",
                perPiece,
                "plants",
                known.stock().plants() * known.stock().flush() * perPiece));
        steps.add(Statement.of(
                Step.FROM_CUT_TO_CUT,
                "rest",
                known.stock().restDays(),
                "ready",
                known.mostReady(0),
                "settling",
                known.way().settleDays(),
                "growing",
                known.stock().growDays(),
                "whole",
                known.mostReady(0) + known.way().settleDays() + known.stock().growDays()));
        steps.add(keeps.isEmpty() ? Statement.of(Step.KEEPING_NONE) : Statement.of(Step.KEEPING, "keeps", keeps));
        steps.add(middle.map(m -> Statement.of(Step.RUNS, "runs", RUNS, "middle", m, "late", late.orElse(0)))
                .orElseGet(() -> Statement.of(Step.RUNS_FALL_SHORT, "runs", RUNS, "horizon", known.horizon())));
        return new Working(
                Statement.of(
                        Step.WHEN,
                        "reached",
                        middle.isPresent(),
                        "middle",
                        middle.orElse(0),
                        "late",
                        late.orElse(0),
                        "horizon",
                        known.horizon()),
                steps);
    }
}
