package garden.vivarium.core.evidence;

/**
 * The part of a scan outside which nothing matters: the places whose logarithm lies no further below the greatest than what is
 * negligible, and all between them.
 *
 * @param first place, 0 and up
 * @param last place, no less than the first
 */
record Stretch(int first, int last) {

    /**
     * The stretch of a scan.
     *
     * @param logs logarithms of a density at places that follow each other, one at least
     * @param negligible how far below the greatest a logarithm tells nothing any more, above 0
     */
    static Stretch of(double[] logs, double negligible) {
        double floor = floor(logs, negligible);
        int first = 0;
        while (logs[first] < floor) {
            first++;
        }
        int last = logs.length - 1;
        while (logs[last] < floor) {
            last--;
        }
        return new Stretch(first, last);
    }

    /** The least logarithm that tells anything. */
    static double floor(double[] logs, double negligible) {
        // A plain loop: it is run some hundred thousand times for one page.
        double best = logs[0];
        for (double log : logs) {
            best = Math.max(best, log);
        }
        return best - negligible;
    }

    /** The place before the first; 0 where there is none. */
    int before() {
        return Math.max(0, first - 1);
    }

    /**
     * The place after the last.
     *
     * @param end the last place that there is
     */
    int after(int end) {
        return Math.min(end, last + 1);
    }
}
