package garden.vivarium.core.plan;

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
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * What is to be expected of a way before a batch is stuck: rate and times in its season and out of it, and the stages before and
 * after.
 *
 * @param inSeason what is to be expected in season
 * @param outOfSeason what is to be expected outside it; the same where there is no season
 * @param callus survival and days of the callus stage, where there is one
 * @param settle share that settles after the move and days until then; absent where ready is established
 * @param output young plants a ready piece gives
 * @param season when the way works at its usual speed and rate
 */
public record Outlook(
        SeasonOutlook inSeason,
        SeasonOutlook outOfSeason,
        Optional<CallusStage> callus,
        Optional<SettleStage> settle,
        OutputRatio output,
        Season season) {

    /** Callus: the share that survives it, as of one batch, and its days. */
    public record CallusStage(NextBatch survival, int least, int usual, int most) {}

    /** Settling: the share that settles, as of one batch, and the days until it has. */
    public record SettleStage(NextBatch share, int days) {}

    /** The outlook of a protocol for a way, with all that a nursery knows: strike, times, callus, establishment alike. */
    public static Outlook of(Protocol protocol, NurseryRecord record, Way way) {
        Function<SeasonFactors, SeasonOutlook> expected = season -> {
            RootingTime ready = record.ready(way, season);
            return new SeasonOutlook(
                    record.strike(way, season),
                    record.firstSignRate(way, season),
                    record.firstSign(way, season),
                    ready,
                    ShownTable.of(record.prior(way, season).shown(), ready));
        };
        return of(
                protocol,
                expected,
                guide -> record.callusSurvival(way, guide).nextBatch(),
                guide -> record.establishment(way, guide).nextBatch());
    }

    /** From the guide alone, batches differing by ρ, 0 to 1. */
    public static Outlook ofGuide(Protocol protocol, double rho) {
        return of(
                protocol,
                season -> {
                    StrikeRate strike = StrikeRate.ofGuide(protocol.figures().rate() * season.poorer(), rho);
                    RootingTime ready =
                            RootingTime.ofGuide(protocol.ready().days()).slowedBy(season.slower());
                    return new SeasonOutlook(
                            strike,
                            strike,
                            protocol.firstSign()
                                    .map(f -> RootingTime.ofGuide(f.days()).slowedBy(season.slower())),
                            ready,
                            ShownTable.ofGuide(ready, rho));
                },
                guide -> StrikeRate.ofGuide(guide, rho).nextBatch(),
                guide -> StrikeRate.ofGuide(guide, rho).nextBatch());
    }

    private static Outlook of(
            Protocol protocol,
            Function<SeasonFactors, SeasonOutlook> expected,
            Function<Double, NextBatch> survival,
            Function<Double, NextBatch> settling) {
        SeasonFactors out = protocol.material().season().outside();
        SeasonOutlook inSeason = expected.apply(SeasonFactors.IN_SEASON);
        return new Outlook(
                inSeason,
                out.isInSeason() ? inSeason : expected.apply(out),
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

    /** What is to be expected of a batch that its season bears on so. */
    public SeasonOutlook in(SeasonFactors factors) {
        return factors.isInSeason() ? inSeason : outOfSeason;
    }

    /** What is to be expected of pieces taken on a day. */
    public SeasonOutlook at(Setting setting, LocalDate start) {
        return setting.inSeason(season, stuckOn(start)) ? inSeason : outOfSeason;
    }

    /**
     * The same in a place that is warmer or colder than usual: days in season are multiplied. Out of season they are slowed already, for the cold that
     * comes with it.
     *
     * @param factor above 0
     */
    public Outlook paced(double factor) {
        return new Outlook(inSeason.paced(factor), outOfSeason, callus, settle, output, season);
    }

    /** The same with other strike rates. */
    Outlook with(UnaryOperator<StrikeRate> other) {
        return new Outlook(
                inSeason.with(other.apply(inSeason.strike())),
                outOfSeason.with(other.apply(outOfSeason.strike())),
                callus,
                settle,
                output,
                season);
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
        return season.factors(stuckOn(start), setting.climate(), setting.hemisphere());
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
