package garden.vivarium.app.shed;

import garden.vivarium.app.platform.Sentence;
import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.evidence.Closeness;
import garden.vivarium.core.evidence.Level;
import garden.vivarium.core.evidence.RootingCurve;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.looks.Tallies;
import java.util.List;
import java.util.Optional;

/**
 * What this nursery's own batches say of a way of working, for a school or a protocol.
 *
 * @param batches finished and running batches
 * @param pieces pieces stuck in them
 * @param ready of those became ready so far
 * @param rate rate over finished batches; empty while none is
 * @param median day by which half of those ready were, as an interval; empty while it is not known
 */
record OwnRecord(
        int batches, long pieces, long ready, Optional<StrikeRate> rate, Optional<RootingCurve.Between> median) {

    /** Between which days half of those ready were; empty while it is not known. */
    public Optional<Sentence> between() {
        return median.map(m -> Sentence.of("guide.claim.half", "after", m.after(), "by", m.by()));
    }

    /** Sums batches up, starting from what the guide says. */
    static OwnRecord of(List<WayBatch> batches, double guideRate, double rho) {
        List<BatchCount> finished = batches.stream()
                .filter(b -> b.isFinished() && b.judgeable() > 0)
                .map(b -> new BatchCount(b.kept(), b.judgeable()))
                .toList();
        Tallies pooled = Tallies.pooled(batches.stream().map(WayBatch::ready).toList());
        return new OwnRecord(
                batches.size(),
                batches.stream().mapToLong(WayBatch::stuck).sum(),
                batches.stream().mapToLong(WayBatch::kept).sum(),
                finished.isEmpty()
                        ? Optional.empty()
                        : Optional.of(
                                StrikeRate.of(guideRate, List.of(new Level(Closeness.OWN_BATCHES, finished)), rho)),
                batches.stream().allMatch(b -> b.lastKnowingLook() == 0)
                        ? Optional.empty()
                        : RootingCurve.fit(pooled).median());
    }

    /** Whether a batch was done in a way. */
    static boolean isOf(WayBatch batch, Way way) {
        return batch.way().method().equals(way.method())
                && batch.way().medium().equals(way.medium())
                && batch.way().treatment().equals(way.treatment());
    }

    public boolean isEmpty() {
        return batches == 0;
    }

    public double low() {
        return rate.orElseThrow().quantile(0.05);
    }

    public double high() {
        return rate.orElseThrow().quantile(0.95);
    }
}
