package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.ShownTable;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Season;
import garden.vivarium.core.timing.SeasonFactors;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * What is to be expected of a way before a batch is stuck: rate and times in whatever season, reckoned when that is asked for, and the
 * stages before and after.
 */
public final class Outlook {

    private final Expectation expected;
    private final Optional<CallusStage> callus;
    private final Optional<SettleStage> settle;
    private final OutputRatio output;
    private final Season season;
    /** The same for other days asked for and other paces: asked for again, it is the same one. */
    private final Map<Object, Outlook> variants = new ConcurrentHashMap<>();

    private Outlook(
            Expectation expected,
            Optional<CallusStage> callus,
            Optional<SettleStage> settle,
            OutputRatio output,
            Season season) {
        this.expected = expected;
        this.callus = callus;
        this.settle = settle;
        this.output = output;
        this.season = season;
    }

    /** What is to be expected in a season: all of it, or what a plan needs. */
    private interface Expectation {

        SeasonOutlook in(SeasonFactors season);

        default StrikeRate strike(SeasonFactors season) {
            return in(season).strike();
        }

        default RootingTime ready(SeasonFactors season) {
            return in(season).ready();
        }
    }

    /** Callus: the share that survives it, as of one batch, and its days. */
    public record CallusStage(NextBatch survival, int least, int usual, int most) {}

    /** Settling: the share that settles, as of one batch, and the days until it has. */
    public record SettleStage(NextBatch share, int days) {}

    /**
     * What was expected of a batch in the season that it was made in, to be kept with it.
     *
     * @param then what was expected, by season; one at least
     * @param callus survival and days of the callus stage, where there is one
     * @param settle share that settles after the move and days until then; absent where ready is established
     * @param output young plants a ready piece gives
     * @param season when the way works at its usual speed and rate
     */
    public record Kept(
            List<Then> then,
            Optional<CallusStage> callus,
            Optional<SettleStage> settle,
            OutputRatio output,
            Season season) {

        public Kept {
            then = List.copyOf(then);
        }
    }

    /** What was expected in a season. */
    public record Then(SeasonFactors season, SeasonOutlook expected) {}

    /** What is kept of it with a batch of a season. */
    public Kept kept(SeasonFactors of) {
        return new Kept(List.of(new Then(of, in(of))), callus, settle, output, season);
    }

    /** What was kept: in another season than was kept, what was expected in the one nearest to it. */
    public static Outlook of(Kept kept) {
        return new Outlook(
                asked -> kept.then().stream()
                        .min(Comparator.comparingDouble(
                                t -> Math.abs(Math.log(t.season().slower() / asked.slower()))
                                        + Math.abs(Math.log(t.season().poorer() / asked.poorer()))))
                        .orElseThrow()
                        .expected(),
                kept.callus(),
                kept.settle(),
                kept.output(),
                kept.season());
    }

    /** The outlook of a protocol for a way, with all that a nursery knows: strike, times, callus, establishment alike. */
    public static Outlook of(Protocol protocol, NurseryRecord record, Way way) {
        return of(
                protocol,
                new Expectation() {
                    private final Map<SeasonFactors, SeasonOutlook> known = new ConcurrentHashMap<>();

                    @Override
                    public SeasonOutlook in(SeasonFactors season) {
                        return known.computeIfAbsent(
                                season,
                                s -> new SeasonOutlook(
                                        record.strike(way, s),
                                        record.firstSignRate(way, s),
                                        record.firstSign(way, s),
                                        record.ready(way, s),
                                        ShownTable.of(record.prior(way, s).shown(), record.ready(way, s))));
                    }

                    @Override
                    public StrikeRate strike(SeasonFactors season) {
                        return record.strike(way, season);
                    }

                    @Override
                    public RootingTime ready(SeasonFactors season) {
                        return record.ready(way, season);
                    }
                },
                guide -> record.callusSurvival(way, guide).nextBatch(),
                guide -> record.establishment(way, guide).nextBatch());
    }

    /** From the guide alone, batches differing by ρ, 0 to 1, its figures worth what such are of which nobody says how well they are known. */
    public static Outlook ofGuide(Protocol protocol, double rho) {
        return ofGuide(protocol, GuideFigures.Worth.UNSAID, rho);
    }

    /** The same where it is said what its figures are worth. */
    public static Outlook ofGuide(Protocol protocol, GuideFigures.Worth worth, double rho) {
        Map<SeasonFactors, SeasonOutlook> known = new ConcurrentHashMap<>();
        return of(
                protocol,
                asked -> known.computeIfAbsent(asked, season -> {
                    StrikeRate strike =
                            StrikeRate.ofGuide(protocol.figures().rate() * season.poorer(), worth.rate(), rho);
                    RootingTime ready = RootingTime.ofGuide(protocol.ready().days(), worth.days())
                            .slowedBy(season.slower());
                    return new SeasonOutlook(
                            strike,
                            strike,
                            protocol.firstSign()
                                    .map(f -> RootingTime.ofGuide(f.days(), worth.days())
                                            .slowedBy(season.slower())),
                            ready,
                            ShownTable.ofGuide(ready, rho));
                }),
                guide -> StrikeRate.ofGuide(guide, worth.callus(), rho).nextBatch(),
                guide -> StrikeRate.ofGuide(guide, worth.settling(), rho).nextBatch());
    }

    private static Outlook of(
            Protocol protocol,
            Expectation expected,
            Function<Double, NextBatch> survival,
            Function<Double, NextBatch> settling) {
        return new Outlook(
                expected,
                protocol.wound()
                        .callus()
                        .map(c -> new CallusStage(survival.apply(c.survival()), c.least(), c.usual(), c.most())),
                protocol.figures().establishment().days() == 0
                        ? Optional.empty()
                        : Optional.of(new SettleStage(
                                settling.apply(
                                        protocol.figures().establishment().rate()),
                                protocol.figures().establishment().days())),
                protocol.figures().output(),
                protocol.material().season());
    }

    /** Of what is all that is known, in whatever season. */
    public static Outlook always(SeasonOutlook expected) {
        return new Outlook(s -> expected, Optional.empty(), Optional.empty(), OutputRatio.one(), Season.allYear());
    }

    /** Survival and days of the callus stage, where there is one. */
    public Optional<CallusStage> callus() {
        return callus;
    }

    /** Share that settles after the move and days until then; absent where ready is established, or where nobody asks for settled plants. */
    public Optional<SettleStage> settle() {
        return settle;
    }

    /** Young plants a ready piece gives. */
    public OutputRatio output() {
        return output;
    }

    /** When the way works at its usual speed and rate. */
    public Season season() {
        return season;
    }

    /** What is to be expected in season. */
    public SeasonOutlook inSeason() {
        return in(SeasonFactors.IN_SEASON);
    }

    /** What is to be expected of a batch that its season bears on so. */
    public SeasonOutlook in(SeasonFactors factors) {
        return expected.in(factors);
    }

    /** The time to ready of a batch that its season bears on so. */
    RootingTime ready(SeasonFactors factors) {
        return expected.ready(factors);
    }

    /** The rate of the next batch of a season, from pieces taken to young plants. */
    NextBatch nextBatch(SeasonFactors factors) {
        return throughStages(expected.strike(factors).nextBatch());
    }

    /** What is to be expected of pieces taken on a day. */
    public SeasonOutlook at(Setting setting, LocalDate start) {
        return in(factors(setting, start));
    }

    /**
     * The same for plants that are to be so far by the day due: where rooted ones are asked for, whether and when they settle does not matter; where
     * they are to be sold, they grow on after they have settled.
     */
    public Outlook until(DayAsked asked) {
        return asked == DayAsked.SETTLED || settle.isEmpty()
                ? this
                : variants.computeIfAbsent(
                        asked,
                        a -> new Outlook(
                                expected,
                                callus,
                                settle.filter(s -> asked != DayAsked.ROOTED)
                                        .map(s -> new SettleStage(s.share(), s.days() + asked.growingOn())),
                                output,
                                season));
    }

    /**
     * The same in a place of which it is known how warm it is, and what that does to days: its pace alone holds, in place of what the season
     * would do to them.
     *
     * @param factor by which days in season are multiplied, above 0
     */
    public Outlook paced(double factor) {
        return variants.computeIfAbsent(
                factor,
                f -> new Outlook(
                        new Expectation() {
                            @Override
                            public SeasonOutlook in(SeasonFactors season) {
                                return expected.in(poorerOnly(season)).paced(factor);
                            }

                            @Override
                            public StrikeRate strike(SeasonFactors season) {
                                return expected.strike(poorerOnly(season));
                            }

                            @Override
                            public RootingTime ready(SeasonFactors season) {
                                return expected.ready(poorerOnly(season)).slowedBy(factor);
                            }
                        },
                        callus,
                        settle,
                        output,
                        season));
    }

    private static SeasonFactors poorerOnly(SeasonFactors season) {
        return season.isInSeason() ? season : new SeasonFactors(1, season.poorer(), season.out());
    }

    /** The same with other strike rates. */
    Outlook with(UnaryOperator<StrikeRate> other) {
        return new Outlook(s -> expected.in(s).with(other.apply(expected.strike(s))), callus, settle, output, season);
    }

    /** Days between taken and stuck. */
    public int callusDays() {
        return callus.map(CallusStage::usual).orElse(0);
    }

    /** Days between ready and settled. */
    public int settleDays() {
        return settle.map(SettleStage::days).orElse(0);
    }

    /** What callus and settling make of a batch's strike rate: all three must go well. */
    public NextBatch throughStages(NextBatch strike) {
        NextBatch rate = strike;
        for (NextBatch stage : stages()) {
            rate = rate.and(stage);
        }
        return rate;
    }

    /** What callus and settling let through, where there are those stages. */
    public List<NextBatch> stages() {
        List<NextBatch> stages = new ArrayList<>();
        callus.ifPresent(c -> stages.add(c.survival()));
        settle.ifPresent(s -> stages.add(s.share()));
        return stages;
    }

    /** The rate of the next batch of a season from pieces taken to young plants settled. */
    public NextBatch nextBatch(SeasonOutlook of) {
        return throughStages(of.strike().nextBatch());
    }

    /** Day 0 of pieces taken on a day. */
    public LocalDate stuckOn(LocalDate start) {
        return start.plusDays(callusDays());
    }

    /** The factors of the season on pieces taken on a day. */
    public SeasonFactors factors(Setting setting, LocalDate start) {
        return setting.factors(season, stuckOn(start));
    }

    /** The days on which the stages of pieces taken on a day are expected. */
    public Expected expected(Setting setting, LocalDate start) {
        return expected(at(setting, start), start, stuckOn(start));
    }

    /** What is expected of a batch taken on a day and stuck on another, in the season that it is in. */
    public Expected expected(SeasonOutlook then, LocalDate taken, LocalDate stuck) {
        Expected.Band ready = Expected.band(stuck, then.ready().window());
        return new Expected(
                taken,
                callus.map(c -> new Expected.Band(taken.plusDays(c.least()), taken.plusDays(c.most()))),
                stuck,
                then.firstSign().map(f -> Expected.band(stuck, f.window())),
                ready,
                settle.map(s -> new Expected.Band(
                        ready.from().plusDays(s.days()), ready.to().plusDays(s.days()))));
    }

    /** The chances of pieces taken on a day to be young plants in the end. */
    public ReadyChance readyInTheEnd(Setting setting, LocalDate start) {
        return ReadyChance.withUnlimitedTime(nextBatch(at(setting, start)));
    }

    /** The chances of pieces taken on a day to be young plants by the day due. */
    public ReadyChance readyBy(Setting setting, LocalDate start, LocalDate due) {
        SeasonOutlook then = at(setting, start);
        return ReadyChance.after(nextBatch(then), then.ready(), daysToReady(start, due));
    }

    /**
     * Pieces taken on a day for a day due, to be put together with others of their way.
     *
     * @param way of which this is the outlook
     * @param beforeRunning what is not known of the way in a season by finished batches alone
     * @param perPot rooted pieces to a pot, 1 and up
     */
    public PlannedPieces planned(
            Way way,
            Function<SeasonFactors, SharedDoubt> beforeRunning,
            Setting setting,
            LocalDate start,
            LocalDate due,
            int perPot) {
        return planned(
                way, beforeRunning, at(setting, start), factors(setting, start), daysToReady(start, due), perPot);
    }

    /**
     * Pieces of a season with so many days to be ready in, to be put together with others of their way.
     *
     * @param way of which this is the outlook
     * @param beforeRunning what is not known of the way in a season by finished batches alone
     * @param then what is to be expected of them
     * @param season their season
     * @param days from the day stuck to the day by which they must be ready
     * @param perPot rooted pieces to a pot, 1 and up
     */
    public PlannedPieces planned(
            Way way,
            Function<SeasonFactors, SharedDoubt> beforeRunning,
            SeasonOutlook then,
            SeasonFactors season,
            double days,
            int perPot) {
        return new PlannedPieces(
                way,
                new SharedDoubt(then.strike(), then.ready()),
                beforeRunning.apply(season),
                this::throughStages,
                Optional.of(days),
                output,
                perPot);
    }

    /** Days from the day stuck to the day by which pieces must be ready to have settled by the day due. */
    public long daysToReady(LocalDate start, LocalDate due) {
        return ChronoUnit.DAYS.between(stuckOn(start), due) - settleDays();
    }
}
