package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Season;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * What is to be expected of a way before a batch is stuck, in season: rate, times, and the stages before and after.
 *
 * @param strike mean strike rate with its evidence
 * @param firstSign time to first sign; absent where there is none
 * @param ready time to ready
 * @param callus survival and days of the callus stage, where there is one
 * @param settle share that settles after the move and days until then; absent where ready is established
 * @param output young plants a ready piece gives
 * @param season when the way works at its usual speed and rate
 */
public record Outlook(
        StrikeRate strike,
        Optional<RootingTime> firstSign,
        RootingTime ready,
        Optional<CallusStage> callus,
        Optional<SettleStage> settle,
        OutputRatio output,
        Season season) {

    /** Callus: the share that survives it, as of one batch, and its days. */
    public record CallusStage(NextBatch survival, int least, int usual, int most) {}

    /** Settling: the share that settles, as of one batch, and the days until it has. */
    public record SettleStage(NextBatch share, int days) {}

    /**
     * The outlook of a protocol, given what is known of its rate and times. Callus survival and establishment are the
     * guide's, worth four pieces as the strike rate's guide is, and batches scatter in them by the same ρ.
     */
    public static Outlook of(Protocol protocol, StrikeRate strike, Optional<RootingTime> firstSign, RootingTime ready) {
        double rho = strike.rho();
        return new Outlook(
                strike,
                firstSign,
                ready,
                protocol.callus()
                        .map(c -> new CallusStage(
                                StrikeRate.ofGuide(c.survival(), rho).nextBatch(), c.least(), c.usual(), c.most())),
                protocol.establishment().days() == 0
                        ? Optional.empty()
                        : Optional.of(new SettleStage(
                                StrikeRate.ofGuide(protocol.establishment().rate(), rho)
                                        .nextBatch(),
                                protocol.establishment().days())),
                protocol.output(),
                protocol.season());
    }

    /** From the guide alone. */
    public static Outlook ofGuide(Protocol protocol, double rho) {
        return of(
                protocol,
                StrikeRate.ofGuide(protocol.rate(), rho),
                protocol.firstSign().map(f -> RootingTime.ofGuide(f.days())),
                RootingTime.ofGuide(protocol.ready().days()));
    }

    /** The same with another strike rate. */
    Outlook with(StrikeRate other) {
        return new Outlook(other, firstSign, ready, callus, settle, output, season);
    }

    /** Days between taken and stuck. */
    public int callusDays() {
        return callus.map(CallusStage::usual).orElse(0);
    }

    /** Days between ready and settled. */
    public int settleDays() {
        return settle.map(SettleStage::days).orElse(0);
    }

    /**
     * The rate of the next batch from pieces taken to young plants settled: striking, callus and settling together.
     *
     * @param thinning factor of the season on the strike rate, 0 to 1
     */
    public NextBatch nextBatch(double thinning) {
        NextBatch rate = strike.thinnedBy(thinning).nextBatch();
        if (callus.isPresent()) {
            rate = rate.and(callus.get().survival());
        }
        if (settle.isPresent()) {
            rate = rate.and(settle.get().share());
        }
        return rate;
    }

    /** Day 0 of pieces taken on a day. */
    public LocalDate stuckOn(LocalDate start) {
        return start.plusDays(callusDays());
    }

    /** The factor of the season on times, of pieces taken on a day. */
    public double slowing(Setting setting, LocalDate start) {
        return season.slowing(stuckOn(start), setting.climate(), setting.hemisphere());
    }

    /** The factor of the season on the strike rate, of pieces taken on a day. */
    public double thinning(Setting setting, LocalDate start) {
        return season.thinning(stuckOn(start), setting.climate(), setting.hemisphere());
    }

    /** The days on which the stages of pieces taken on a day are expected. */
    public Expected expected(Setting setting, LocalDate start) {
        return Expected.of(this, start, slowing(setting, start));
    }

    /** The chances of pieces taken on a day to be young plants in the end. */
    public ReadyChance readyInTheEnd(Setting setting, LocalDate start) {
        return ReadyChance.withUnlimitedTime(nextBatch(thinning(setting, start)));
    }

    /** The chances of pieces taken on a day to be young plants by the day due. */
    public ReadyChance readyBy(Setting setting, LocalDate start, LocalDate due) {
        return ReadyChance.after(
                nextBatch(thinning(setting, start)),
                ready.slowedBy(slowing(setting, start)),
                ChronoUnit.DAYS.between(stuckOn(start), due) - settleDays());
    }
}
