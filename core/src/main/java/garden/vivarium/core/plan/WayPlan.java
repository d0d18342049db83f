package garden.vivarium.core.plan;

import garden.vivarium.core.timing.SeasonFactors;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * The answer to an aim by one way: how many to take when starting on a day, the chance, the last safe day to start, and
 * what to expect. See “How many to take” in docs/science.md.
 */
public final class WayPlan {

    private static final List<Double> CERTAINTIES = List.of(0.5, 0.75, 0.9);

    private final Outlook outlook;
    private final Aim aim;
    private final Setting setting;
    private final Harvesting stock;
    private final OptionalInt limit;
    private final LocalDate start;
    private final int piecesAtMost;
    private final Optional<TakeCount> take;
    private final Optional<TooSoon> tooSoon;
    private final Optional<LocalDate> lastSafeStart;
    private final Optional<InTurn> inTurn;
    private final StartChances chances;

    private WayPlan(Outlook outlook, Aim aim, Setting setting, Harvesting stock, LocalDate start) {
        this.outlook = outlook;
        this.aim = aim;
        this.setting = setting;
        this.stock = stock;
        this.limit = stock.pieces();
        this.start = start;
        this.chances = new StartChances(outlook, aim, setting);
        this.piecesAtMost = limit.orElseGet(() -> chances.enough(start).orElse(TakeCount.most(aim.pieces())));
        this.take = chances.least(start);
        this.tooSoon = take.isPresent() ? Optional.empty() : tooSoonFor();
        this.lastSafeStart = latestStart();
        this.inTurn = take.flatMap(this::cuts).or(this::allThatThereIs);
    }

    /**
     * Plans a way.
     *
     * @param outlook what is to be expected of the way
     * @param aim what is wanted
     * @param setting where the batch would stand
     * @param limit pieces that the stock can give; empty if unknown
     * @param start day on which pieces would be taken, which the last safe start never precedes
     */
    public static WayPlan of(Outlook outlook, Aim aim, Setting setting, OptionalInt limit, LocalDate start) {
        return of(outlook, aim, setting, Harvesting.atOnce(limit), start);
    }

    /** The same of a stock plant that may be cut more than once. */
    public static WayPlan of(Outlook outlook, Aim aim, Setting setting, Harvesting stock, LocalDate start) {
        return new WayPlan(outlook, aim, setting, stock, start);
    }

    /**
     * The cuts by which the aim can be met with what the stock bears: as few as do. Where there are several, as many pieces are
     * cut in all as would be needed if all were cut on the worst of the days. Where all that is counted falls short of the certainty asked, that
     * is all of it at once, and how sure that is. Empty where no number would do, where nothing is left, or where nobody has counted and it
     * is more than a large plant bears.
     */
    public Optional<InTurn> inTurn() {
        return inTurn;
    }

    private Optional<InTurn> cuts(TakeCount atOnce) {
        if (limit.isEmpty() && atOnce.pieces() > stock.large().orElse(Integer.MAX_VALUE)) {
            return Optional.empty();
        }
        if (limit.isEmpty() || atOnce.pieces() <= limit.getAsInt()) {
            return Optional.of(new InTurn(List.of(new InTurn.Cut(start, atOnce.pieces())), atOnce.chance()));
        }
        int needed = atOnce.pieces();
        double chance = atOnce.chance();
        for (int n = 2; n <= stock.mostCuts(); n++) {
            LocalDate day = start.plusDays((long) (n - 1) * stock.restDays());
            Optional<TakeCount> then = chances.least(day);
            if (then.isEmpty()) {
                return Optional.empty();
            }
            if (then.get().pieces() >= needed) {
                needed = then.get().pieces();
                chance = then.get().chance();
            }
            if (needed <= stock.by(n)) {
                return Optional.of(new InTurn(split(needed, n), chance));
            }
        }
        return Optional.empty();
    }

    /** All that was counted, where more would be needed: it is what there is, and not nothing. */
    private Optional<InTurn> allThatThereIs() {
        return take.isPresent() && limit.orElse(0) > 0
                ? Optional.of(new InTurn(List.of(new InTurn.Cut(start, limit.getAsInt())), chance(limit.getAsInt())))
                : Optional.empty();
    }

    /** Whether what it comes to is all that was counted, and less sure than was asked. */
    public boolean isAllThatThereIs() {
        return inTurn.isPresent() && inTurn.get().chance() < aim.confidence();
    }

    /** The largest number of young plants that the pieces of {@link #inTurn} give with a chance or a greater one, 0 and up. */
    public int givesWith(double chance) {
        return inTurn.map(t -> Supply.of(chances.on(start), t.pieces(), outlook.output(), aim.piecesPerPot())
                        .surely(chance))
                .orElse(0);
    }

    /** As much as can be had first, since what is cut sooner is ready sooner. */
    private List<InTurn.Cut> split(int pieces, int cuts) {
        List<InTurn.Cut> split = new ArrayList<>();
        int left = pieces;
        for (int n = 1; n <= cuts && left > 0; n++) {
            int now = Math.min(left, stock.ofCut(n));
            split.add(new InTurn.Cut(start.plusDays((long) (n - 1) * stock.restDays()), now));
            left -= now;
        }
        return split;
    }

    /** Whether the stock cannot give in the cuts that may be made as many as are needed, though some number would do. */
    public boolean isBeyondStock() {
        return take.isPresent() && inTurn.isEmpty();
    }

    /** Whether nobody has counted what the way draws on, and more is needed than a large plant bears. */
    public boolean isBeyondLarge() {
        return isUncounted() && isBeyondStock();
    }

    /** What a large plant bears of what the way draws on; empty where that is not known. */
    public OptionalInt large() {
        return stock.large();
    }

    /** Whether nobody has counted what the way draws on. */
    public boolean isUncounted() {
        return limit.isEmpty();
    }

    /**
     * Why more pieces are no answer: the day due comes before pieces can be ready.
     *
     * @param most pieces beyond which nobody would go: twice what would do with all the time in the world, or all that was counted
     * @param by first day by which they do; empty where none within two years
     * @param sure young plants of which they are as sure by the day asked as was asked, 0 and up
     */
    public record TooSoon(int most, Optional<LocalDate> by, int sure) {}

    /** That the day asked for is too soon, where it is; empty too where not even all the time in the world would do. */
    public Optional<TooSoon> tooSoon() {
        return tooSoon;
    }

    private Optional<TooSoon> tooSoonFor() {
        return chances.enough(start).stream()
                .map(most -> Math.min(most, limit.orElse(most)))
                .filter(most -> most > 0)
                .mapToObj(most -> new TooSoon(most, chances.earliestDue(start, most), sureOf(most)))
                .findFirst();
    }

    /**
     * How sure one may want to be, and what that takes.
     *
     * @param confidence as often as not, three times in four, nine times in ten
     * @param take pieces; empty where the day is too soon for it
     */
    public record Certain(double confidence, Optional<TakeCount> take) {

        /** So many pieces; 0 where no number does it. */
        public int pieces() {
            return take.map(TakeCount::pieces).orElse(0);
        }

        /** The confidence in a hundred. */
        public int percent() {
            return (int) Math.round(100 * confidence);
        }
    }

    /** The three certainties side by side. */
    public List<Certain> certainties() {
        return CERTAINTIES.stream()
                .map(c -> new Certain(c, chances.least(start, c)))
                .toList();
    }

    /** Least number of pieces to take when starting on {@link #start}; empty if no number would do, or the day is too soon. */
    public Optional<TakeCount> take() {
        return take;
    }

    public Aim aim() {
        return aim;
    }

    public LocalDate start() {
        return start;
    }

    /** The chance of the aim when taking this many on the start day. */
    public double chance(int pieces) {
        return chance(start, pieces);
    }

    /** The chance of the aim when taking this many on another day. */
    public double chance(LocalDate day, int pieces) {
        return chances.on(day).atLeast(aim.pieces(), pieces, outlook.output());
    }

    /**
     * A day to start and the least number to take then.
     *
     * @param start the day
     * @param pieces the least number; empty where none would do
     * @param inSeason whether pieces stuck from that day on are in season
     */
    public record StartDay(LocalDate start, OptionalInt pieces, boolean inSeason) {}

    /**
     * Start or take: the least number to take on days from the start to the day due. Where there are more days than asked
     * for they are spread evenly, with the last safe start, the day after it, and both sides of each change of season kept.
     *
     * @param most how many days at most are spread, 2 and up
     */
    public List<StartDay> startOrTake(int most) {
        if (most < 2) {
            throw new IllegalArgumentException("a curve needs two days or more, not " + most);
        }
        long length = ChronoUnit.DAYS.between(start, aim.due());
        TreeSet<LocalDate> days = new TreeSet<>();
        for (int i = 0; i < most; i++) {
            days.add(start.plusDays(length * i / (most - 1)));
        }
        lastSafeStart.ifPresent(last -> {
            days.add(last);
            days.add(last.plusDays(1));
        });
        for (LocalDate day = start.plusDays(1); day.isBefore(aim.due()); day = day.plusDays(1)) {
            if (isInSeason(day) != isInSeason(day.minusDays(1))) {
                days.add(day.minusDays(1));
                days.add(day);
            }
        }
        return days.stream()
                .map(day -> new StartDay(day, leastWhenStarted(day), isInSeason(day)))
                .toList();
    }

    private OptionalInt leastWhenStarted(LocalDate day) {
        return chances.least(day).map(t -> OptionalInt.of(t.pieces())).orElse(OptionalInt.empty());
    }

    /** What taking so many pieces on the start day would give by the day due. */
    public YoungPlants youngPlants(int pieces) {
        return YoungPlants.of(chances.on(start), pieces, outlook.output(), aim.piecesPerPot());
    }

    /** The most young plants of which taking so many on the start day is as sure, by the day due, as was asked. */
    public int sureOf(int pieces) {
        return Supply.of(chances.on(start), pieces, outlook.output(), aim.piecesPerPot())
                .surely(aim.confidence());
    }

    /**
     * The earliest day due that taking so many on the start day would meet with the confidence asked; empty where no later
     * day within two years would do.
     */
    public Optional<LocalDate> earliestDue(int pieces) {
        return chances.earliestDue(start, pieces);
    }

    /**
     * The last day on which taking all that the stock can give still meets the aim; empty if even the start day is too
     * late. Where the limit is unknown, twice the pieces that would do with unlimited time stand for it.
     */
    public Optional<LocalDate> lastSafeStart() {
        return lastSafeStart;
    }

    /** Twice the pieces that would do with all the time in the world: as many as anybody would take. */
    int enough() {
        return chances.enough(start).orElse(TakeCount.most(aim.pieces()));
    }

    /** The pieces that stand for the stock's limit in {@link #lastSafeStart}. */
    public int piecesAtMost() {
        return piecesAtMost;
    }

    /** Whether the stock cannot give as many as a start today needs. */
    public boolean isStockShort() {
        return limit.isPresent() && take.map(t -> t.pieces() > limit.getAsInt()).orElse(true);
    }

    /** Whether no number of pieces started on the start day would do by the day due. */
    public boolean isBeyondReach() {
        return take.isEmpty();
    }

    boolean isStockCounted() {
        return limit.isPresent();
    }

    public boolean isInSeason() {
        return isInSeason(start);
    }

    private boolean isInSeason(LocalDate day) {
        return chances.isInSeason(day);
    }

    /** The days on which the stages are expected when starting on the start day. */
    public Expected expected() {
        return outlook.expected(setting, start);
    }

    public Outlook outlook() {
        return outlook;
    }

    /**
     * The first day in season on which a start would need fewer pieces than the start day does, and how many, where the
     * start day itself is out of season.
     */
    public Optional<Better> betterInSeason() {
        if (isInSeason()) {
            return Optional.empty();
        }
        for (LocalDate day = start.plusDays(1); day.isBefore(aim.due()); day = day.plusDays(1)) {
            if (isInSeason(day)) {
                LocalDate found = day;
                return chances.least(day)
                        .filter(t -> take.isEmpty() || t.pieces() < take.get().pieces())
                        .map(t -> new Better(found, t));
            }
        }
        return Optional.empty();
    }

    /** The first day in season, within a year, where the start is out of it. */
    Optional<LocalDate> nextSeason() {
        return isInSeason()
                ? Optional.empty()
                : Stream.iterate(start.plusDays(1), d -> d.plusDays(1))
                        .limit(366)
                        .filter(this::isInSeason)
                        .findFirst();
    }

    /** A better day to start, and how many to take then. */
    public record Better(LocalDate start, TakeCount take) {}

    /** Where and when it is to be done. */
    public Setting setting() {
        return setting;
    }

    /**
     * Within a stretch of one season the chance falls as the start is put off, so halving finds the last good day of a
     * stretch; stretches are tried from the latest.
     */
    private Optional<LocalDate> latestStart() {
        LocalDate end = aim.due();
        while (!end.isBefore(start)) {
            LocalDate begin = beginOfStretch(end);
            int pieces = Math.min(piecesAtMost, chances.enough(begin).orElse(piecesAtMost));
            if (chances.isGood(begin, pieces)) {
                return Optional.of(chances.lastGood(begin, end, pieces));
            }
            end = begin.minusDays(1);
        }
        return Optional.empty();
    }

    private LocalDate beginOfStretch(LocalDate end) {
        SeasonFactors season = chances.season(end);
        LocalDate day = end;
        while (day.isAfter(start) && chances.season(day.minusDays(1)).equals(season)) {
            day = day.minusDays(1);
        }
        return day;
    }

    /** What is to be expected of a start on the start day. */
    public SeasonOutlook season() {
        return outlook.at(setting, start);
    }

    long daysToReady(LocalDate day) {
        return outlook.daysToReady(day, aim.due());
    }
}
