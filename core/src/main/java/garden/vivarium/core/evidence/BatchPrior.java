package garden.vivarium.core.evidence;

/**
 * What was to be expected of a batch before any look at it: from finished batches alone, so that no batch is its own evidence.
 *
 * @param rate p ~ Beta(a, b), the batch's own rate
 * @param time its time: x ~ N(M, V + τ²), and the spread within it
 * @param shown how soon failures show themselves
 */
public record BatchPrior(NextBatch rate, RootingTime time, FailuresShown shown) {

    /** The same batch, were its way's median slower by so much in ln(days). */
    public BatchPrior slower(double lnDays) {
        return new BatchPrior(rate, time.shiftedBy(lnDays), shown);
    }

    /** The same, to be weighed more than once. */
    public BatchPrior remembered() {
        return new BatchPrior(rate, time, shown.remembered());
    }
}
