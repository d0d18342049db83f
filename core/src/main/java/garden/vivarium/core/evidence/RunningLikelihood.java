package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.special.Beta;

/** The likelihood of what was seen, at any p, x and H. */
final class RunningLikelihood {

    private static final int SCAN_RATES = 6;
    private static final int FEWEST = 12;
    private static final double REACH = 6;
    private static final double NEGLIGIBLE = 20;
    private static final double SMALLEST = 1e-300;
    /** Nodes up to which a rule of Gauss and Jacobi is made exact. */
    private static final int MOST_EXACT = 28;

    private static final int LEAST_ADAPTED = 24;

    private final BatchPrior prior;
    private final List<OpenPieces> mayYet;
    /** How many pieces each group that may yet come has, and for each value of H the share of failures not seen yet in it. */
    private final int[] waiting;

    private final double[][] hidden;
    private final List<Map.Entry<Interval, Long>> ready;
    private final double aThen;
    private final double bThen;
    private final double constant;
    private final double logWhole;
    private final Map<Rule, RateNodes> rules = new HashMap<>();
    /** Logarithm, for each value of H, of what the lost and the given up say of it. */
    private final double[] ofShown;

    RunningLikelihood(BatchPrior prior, Tallies tallies, List<OpenPieces> open) {
        this.prior = prior;
        this.mayYet = open.stream().filter(OpenPieces::mayYet).toList();
        ready = List.copyOf(tallies.with(Outcome.REACHED).entrySet());
        double a = prior.rate().a();
        double b = prior.rate().b();
        long lost = tallies.total(Outcome.LOST);
        aThen = a + tallies.total(Outcome.REACHED);
        bThen = b + lost + tallies.total(Outcome.GIVEN_UP);
        double[] atLast = prior.shown().values(Math.max(1, tallies.lastLook()));
        ofShown = new double[atLast.length];
        for (int h = 0; h < ofShown.length; h++) {
            ofShown[h] = lost == 0 ? 0 : lost * Math.log(Math.max(SMALLEST, atLast[h]));
            for (OpenPieces o : open) {
                if (!o.mayYet()) {
                    ofShown[h] += o.pieces() * Math.log(Math.max(SMALLEST, 1 - o.shown()[h]));
                }
            }
        }
        waiting = mayYet.stream().mapToInt(OpenPieces::pieces).toArray();
        hidden = new double[ofShown.length][waiting.length];
        for (int h = 0; h < hidden.length; h++) {
            for (int g = 0; g < waiting.length; g++) {
                hidden[h][g] = 1 - mayYet.get(g).shown()[h];
            }
        }
        logWhole = Beta.logBeta(aThen, bThen);
        constant = -Beta.logBeta(a, b) - Math.log(ofShown.length);
    }

    /** The part of the x's, in standard deviations of the prior, that matters. */
    double[] range(int speeds, int points, int passes) {
        if (speeds == 1) {
            return new double[] {0, 0};
        }
        double low = -REACH;
        double high = REACH;
        // More than once, since a large batch's speed is known far more closely than was expected of it.
        for (int scan = 0; scan < passes; scan++) {
            double step = (high - low) / points;
            double[] logs = new double[points + 1];
            for (int j = 0; j <= points; j++) {
                logs[j] = ofSpeed(low + j * step);
            }
            Stretch matters = Stretch.of(logs, NEGLIGIBLE);
            high = low + matters.after(points) * step;
            low += matters.before() * step;
            if (high - low > 0.6 * points * step) {
                break;
            }
        }
        return new double[] {low, high};
    }

    private double ofSpeed(double z) {
        double away = z * prior.time().ofNextBatch();
        double[] waits = waits(away);
        Rates rule = rates(SCAN_RATES);
        double best = Double.NEGATIVE_INFINITY;
        double[][] logs = new double[ofShown.length][];
        for (int h = 0; h < ofShown.length; h++) {
            logs[h] = rule.roughly(waits, h).clone();
            for (int i = 0; i < logs[h].length; i++) {
                logs[h][i] += ofShown[h];
                best = Math.max(best, logs[h][i]);
            }
        }
        double sum = 0;
        for (double[] row : logs) {
            for (double log : row) {
                sum += Math.exp(log - best);
            }
        }
        return -z * z / 2 + ofReady(away) + best + Math.log(sum);
    }

    /** Nodes with their weights. */
    RunningNodes nodes(int rates, int speeds, double[] range, double dropped) {
        Rates rule = rates(rates);
        double deviation = prior.time().ofNextBatch();
        double step = speeds == 1 ? 0 : (range[1] - range[0]) / (speeds - 1);
        double logStep = speeds == 1 ? 0 : Math.log(step / Math.sqrt(2 * Math.PI));
        RunningNodes nodes = new RunningNodes(speeds, rule.size() * speeds * ofShown.length);
        for (int j = 0; j < speeds; j++) {
            double z = range[0] + j * step;
            nodes.aways[j] = z * deviation;
            double ofTime = constant - z * z / 2 + logStep + ofReady(nodes.aways[j]);
            double[] waits = waits(nodes.aways[j]);
            for (int h = 0; h < ofShown.length; h++) {
                double[] logs = rule.logs(waits, h);
                for (int i = 0; i < logs.length; i++) {
                    nodes.add(ofTime + ofShown[h] + logs[i], rule.rate(i), j, h);
                }
            }
        }
        nodes.normalise(dropped);
        return nodes;
    }

    /** Rates to sum over at given x and H, and the logarithms of their weights with what the pending pieces say. */
    private interface Rates {
        int size();

        double[] logs(double[] waits, int h);

        /** As much of it as tells where it matters, up to a factor that is the same for all. */
        double[] roughly(double[] waits, int h);

        /** A rate of those for which logarithms were asked last. */
        double rate(int i);
    }

    private Rates rates(int count) {
        if (mayYet.isEmpty()) {
            return jacobi(FEWEST);
        }
        int pieces = Arrays.stream(waiting).sum();
        // What pending pieces say is a polynomial in p of their number: up to this many the rule is exact.
        return pieces < 2 * MOST_EXACT ? jacobi(Math.min(MOST_EXACT, Math.max(count, pieces / 2 + 1))) : adapted(count);
    }

    /** Gauss and Jacobi with the judged pieces in the weight of the rule. */
    private Rates jacobi(int count) {
        RateNodes rule =
                rules.computeIfAbsent(new Rule(aThen, bThen, count), r -> RateNodes.gaussJacobi(aThen, bThen, count));
        double[] logRule = new double[count];
        for (int i = 0; i < count; i++) {
            logRule[i] = Math.log(Math.max(SMALLEST, rule.weight(i))) + logWhole;
        }
        double[] rates = new double[count];
        for (int i = 0; i < count; i++) {
            rates[i] = rule.rate(i);
        }
        double[] logs = new double[count];
        return new Rates() {
            @Override
            public int size() {
                return count;
            }

            @Override
            public double[] logs(double[] waits, int h) {
                ofOpen(rates, waits, h, logs);
                for (int i = 0; i < count; i++) {
                    logs[i] += logRule[i];
                }
                return logs;
            }

            @Override
            public double[] roughly(double[] waits, int h) {
                return logs(waits, h);
            }

            @Override
            public double rate(int i) {
                return rates[i];
            }
        };
    }

    /** For many pending pieces: rates where, at given x and H, anything is left. */
    private Rates adapted(int count) {
        int nodes = Math.max(LEAST_ADAPTED, count);
        RateNodes.OnParts parts = new RateNodes.OnParts(aThen, bThen, nodes);
        double[] rates = new double[nodes];
        double[] logs = new double[nodes];
        return new Rates() {
            @Override
            public int size() {
                return nodes;
            }

            @Override
            public double[] logs(double[] waits, int h) {
                parts.fill(p -> logOpen(p, waits, hidden[h]), rates, logs);
                return logs;
            }

            @Override
            public double[] roughly(double[] waits, int h) {
                return parts.strides(p -> logOpen(p, waits, hidden[h]));
            }

            @Override
            public double rate(int i) {
                return rates[i];
            }
        };
    }

    private double logOpen(double p, double[] waits, double[] hiddenHere) {
        double log = 0;
        for (int g = 0; g < waits.length; g++) {
            double still = hiddenHere[g] + p * (waits[g] - hiddenHere[g]);
            log += waiting[g] * Math.log(Math.max(SMALLEST, still));
        }
        return log;
    }

    private double ofReady(double away) {
        double log = 0;
        for (Map.Entry<Interval, Long> e : ready) {
            double after = prior.time().by(e.getKey().after(), away);
            double by = prior.time().by(e.getKey().by(), away);
            double between = after < 0.5
                    ? by - after
                    : prior.time().notBy(e.getKey().after(), away)
                            - prior.time().notBy(e.getKey().by(), away);
            log += e.getValue() * Math.log(Math.max(SMALLEST, between));
        }
        return log;
    }

    /** 1 − F on the last day that each group was looked at. */
    private double[] waits(double away) {
        double[] waits = new double[mayYet.size()];
        for (int g = 0; g < waits.length; g++) {
            waits[g] = prior.time().notBy(mayYet.get(g).interval().after(), away);
        }
        return waits;
    }

    /** Σ ln D over pending and sent, at each rate. D is linear in p; so few pieces cannot run a product out of range. */
    private void ofOpen(double[] rates, double[] waits, int h, double[] logs) {
        for (int i = 0; i < rates.length; i++) {
            double product = 1;
            for (int g = 0; g < waits.length; g++) {
                product *= SpeedMessage.power(hidden[h][g] + rates[i] * (waits[g] - hidden[h][g]), waiting[g]);
            }
            logs[i] = Math.log(Math.max(SMALLEST, product));
        }
    }

    private record Rule(double a, double b, int count) {}
}
