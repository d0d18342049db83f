package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.BatchPrior;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.ShownTable;
import garden.vivarium.core.evidence.StrikeRate;
import java.util.Optional;

/**
 * What is to be expected of a way in one season. No factor is to be put to any of it afterwards.
 *
 * @param strike mean strike rate with its evidence
 * @param firstSignRate mean share that reaches first sign, as finished batches have it
 * @param firstSign time to first sign; absent where there is none
 * @param ready time to ready
 * @param shown how soon failures show themselves
 */
public record SeasonOutlook(
        StrikeRate strike,
        StrikeRate firstSignRate,
        Optional<RootingTime> firstSign,
        RootingTime ready,
        ShownTable shown) {

    /** What a batch is weighed against. */
    public BatchPrior prior() {
        return new BatchPrior(strike.nextBatch(), ready, shown);
    }

    /** The same for first sign; empty where there is none. */
    public Optional<BatchPrior> firstSignPrior() {
        return firstSign.map(time -> new BatchPrior(firstSignRate.nextBatch(), time, shown));
    }

    SeasonOutlook paced(double factor) {
        return new SeasonOutlook(
                strike, firstSignRate, firstSign.map(t -> t.slowedBy(factor)), ready.slowedBy(factor), shown);
    }

    SeasonOutlook with(StrikeRate other) {
        return new SeasonOutlook(other, firstSignRate, firstSign, ready, shown);
    }
}
