package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.Way;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/**
 * What one batch or plan will give. Alone it is a supply; beside others of its way it must not be added up as if it were
 * independent of them, for what is not known of the way is the same for all: if the first turns out poor, so, likely, will the
 * second. {@link #together} convolves within each value that the shared doubt may have, weighted by how likely what was seen of
 * the running ones is there, and then averages.
 */
public final class Prospect {

    private final Optional<Shared> shared;
    private final Supplier<Supply> alone;
    private volatile Supply reckoned;

    /** How it depends on what its way shares. */
    private static final class Shared {

        private final Way way;
        private final boolean isRunning;
        private final Function<Boolean, SharedDoubt> doubt;
        private final BiFunction<SharedDoubt.Node, Boolean, Given> given;
        // Promises on one batch, and the search for what makes up a shortfall, ask for the same again and again.
        private final Map<At, Given> known = new ConcurrentHashMap<>();

        private record At(SharedDoubt.Node node, boolean besideRunning) {}

        /**
         * How it depends on what its way shares.
         *
         * @param way the way
         * @param isRunning whether it runs, so that its looks say something of what is shared
         * @param doubt what is shared: as all batches have it or, beside running ones, as finished batches alone do
         * @param given what it gives for a value of that
         */
        Shared(
                Way way,
                boolean isRunning,
                Function<Boolean, SharedDoubt> doubt,
                BiFunction<SharedDoubt.Node, Boolean, Given> given) {
            this.way = way;
            this.isRunning = isRunning;
            this.doubt = doubt;
            this.given = given;
        }

        Given given(SharedDoubt.Node node, boolean besideRunning) {
            return known.computeIfAbsent(new At(node, besideRunning), at -> given.apply(at.node(), at.besideRunning()));
        }
    }

    /**
     * What it gives where what is shared has certain values.
     *
     * @param logEvidence how likely what was seen of it is there, as a logarithm
     * @param supply what it gives
     */
    record Given(double logEvidence, Supply supply) {}

    private Prospect(Optional<Shared> shared, Supplier<Supply> alone) {
        this.shared = shared;
        this.alone = alone;
    }

    /** What depends on nothing that others share. */
    public static Prospect of(Supply supply) {
        return new Prospect(Optional.empty(), () -> supply);
    }

    /** What is planned, by what it gives for each value of what its way shares, beside running batches or not. */
    static Prospect planned(
            Way way,
            Function<Boolean, SharedDoubt> doubt,
            BiFunction<SharedDoubt.Node, Boolean, Supply> given,
            Supplier<Supply> alone) {
        return new Prospect(
                Optional.of(new Shared(way, false, doubt, (node, beside) -> new Given(0, given.apply(node, beside)))),
                alone);
    }

    /** A batch that runs, by how it stands for each value of what its way shares. */
    static Prospect running(
            Way way, SharedDoubt doubt, Function<SharedDoubt.Node, Given> given, Supplier<Supply> alone) {
        return new Prospect(
                Optional.of(new Shared(way, true, beside -> doubt, (node, beside) -> given.apply(node))), alone);
    }

    /** What it gives, by itself. */
    public Supply alone() {
        if (reckoned == null) {
            reckoned = alone.get();
        }
        return reckoned;
    }

    /** The same after something is done with what it gives, whatever that is. */
    public Prospect then(UnaryOperator<Supply> change) {
        return new Prospect(
                shared.map(s -> new Shared(s.way, s.isRunning, s.doubt, (node, beside) -> {
                    Given given = s.given(node, beside);
                    return new Given(given.logEvidence(), change.apply(given.supply()));
                })),
                () -> change.apply(alone()));
    }

    /** What several give together. */
    public static Supply together(Collection<Prospect> all) {
        return together(all, SharedDoubt.RATES, SharedDoubt.SPEEDS);
    }

    /** The same with other numbers of nodes for the mean and for the speed of each way. */
    static Supply together(Collection<Prospect> all, int rates, int speeds) {
        Map<Way, List<Prospect>> ways = new LinkedHashMap<>();
        Supply sum = Supply.none();
        for (Prospect p : all) {
            if (p.shared.isPresent()) {
                ways.computeIfAbsent(p.shared.get().way, w -> new ArrayList<>()).add(p);
            } else {
                sum = sum.and(p.alone());
            }
        }
        for (List<Prospect> ofWay : ways.values()) {
            sum = sum.and(
                    ofWay.size() == 1
                            ? ofWay.get(0).alone()
                            : given(ofWay, rates, speeds).average());
        }
        return sum;
    }

    /** Those of a way, by the values of what they share; and, apart, what all the others give together. */
    static Split apart(Collection<Prospect> all, Way way) {
        List<Prospect> ofWay = all.stream()
                .filter(p -> p.shared.filter(s -> s.way.equals(way)).isPresent())
                .toList();
        Supply others = together(all.stream().filter(p -> !ofWay.contains(p)).toList());
        return new Split(ofWay, others);
    }

    /**
     * Prospects of one way, and what all the others give together.
     *
     * @param ofWay those of the way
     * @param others what the others give
     */
    record Split(List<Prospect> ofWay, Supply others) {

        /** What those of the way, of which there is one or more, give where what they share has each of its values. */
        ByNode byNode() {
            return given(ofWay, SharedDoubt.RATES, SharedDoubt.SPEEDS);
        }
    }

    /**
     * Supplies by the values of what is shared.
     *
     * @param besideRunning whether some of them run, so that what is shared is as finished batches alone have it
     * @param nodes the values
     * @param weights how likely each is after what was seen, summing to one
     * @param supplies what there is at each
     */
    record ByNode(boolean besideRunning, List<SharedDoubt.Node> nodes, double[] weights, List<Supply> supplies) {

        Supply average() {
            return Supply.anyOf(weights, supplies);
        }
    }

    private static ByNode given(List<Prospect> ofWay, int rates, int speeds) {
        boolean besideRunning = ofWay.stream().anyMatch(p -> p.shared.orElseThrow().isRunning);
        List<SharedDoubt.Node> nodes =
                ofWay.get(0).shared.orElseThrow().doubt.apply(besideRunning).nodes(rates, speeds);
        double[] logs = new double[nodes.size()];
        List<Supply> supplies = new ArrayList<>();
        double best = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < logs.length; i++) {
            logs[i] = Math.log(nodes.get(i).weight());
            Supply sum = Supply.none();
            for (Prospect p : ofWay) {
                Given given = p.shared.orElseThrow().given(nodes.get(i), besideRunning);
                logs[i] += given.logEvidence();
                sum = sum.and(given.supply());
            }
            supplies.add(sum);
            best = Math.max(best, logs[i]);
        }
        double all = 0;
        for (int i = 0; i < logs.length; i++) {
            logs[i] = Math.exp(logs[i] - best);
            all += logs[i];
        }
        for (int i = 0; i < logs.length; i++) {
            logs[i] /= all;
        }
        return new ByNode(besideRunning, nodes, logs, supplies);
    }
}
