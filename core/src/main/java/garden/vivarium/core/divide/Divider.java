package garden.vivarium.core.divide;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * Finds how to cut a plant up for what is wanted. Every set of cuts is tried where there are at most {@value #MOST_CUTS} ties; beyond that
 * the best of many climbs, each bettered step by step until no single cut, join or change of sides betters it.
 */
public final class Divider {

    /** So many ties are tried in every combination. */
    public static final int MOST_CUTS = 19;

    private static final int CLIMBS = 40;

    private final Lying plant;
    private final Worth worth;
    private final Cutting cutting;
    private final int size;
    private final int[][] ties;
    private final boolean[][] tied;

    private Divider(Lying plant, Worth worth) {
        this.plant = plant;
        this.worth = worth;
        this.cutting = new Cutting(plant, worth);
        this.size = plant.growths().size();
        List<Integer> numbers = plant.growths().stream().map(Growth::number).toList();
        this.ties = plant.ties().stream()
                .map(t -> new int[] {numbers.indexOf(t.a()), numbers.indexOf(t.b())})
                .toArray(int[][]::new);
        this.tied = new boolean[size][size];
        for (int[] t : ties) {
            tied[t[0]][t[1]] = true;
            tied[t[1]][t[0]] = true;
        }
    }

    /**
     * The best division for what is wanted; the plant whole where no cut betters it.
     *
     * @return empty where it cannot be cut into so many pieces
     */
    public static Optional<Division> best(Lying plant, Worth worth, Ask ask) {
        Divider divider = new Divider(plant, worth);
        if (divider.ties.length > MOST_CUTS) {
            return divider.climb(ask);
        }
        return plant.isTree() ? divider.everyCutOfATree(ask) : divider.everyCut(ask);
    }

    /** By climbing, whatever the size; what is tried exactly elsewhere can be held against it. */
    static Optional<Division> climbed(Lying plant, Worth worth, Ask ask) {
        return new Divider(plant, worth).climb(ask);
    }

    /** The best so far. */
    private final class Best {

        private final Ask ask;
        private double[] value;
        private Division division;

        Best(Ask ask) {
            this.ask = ask;
        }

        void offer(double[] offered, int[] of) {
            if (offered == null) {
                return;
            }
            int better = value == null ? 1 : Cutting.compare(offered, value);
            if (better > 0) {
                value = offered;
                division = cutting.division(of);
            } else if (better == 0) {
                Division same = cutting.division(of);
                if (Cutting.isBefore(same, division)) {
                    division = same;
                }
            }
        }

        void offer(int[] of) {
            offer(value(ask, of), of);
        }

        Optional<Division> found() {
            return Optional.ofNullable(division);
        }
    }

    private double[] value(Ask ask, int[] of) {
        Tally tally = new Tally();
        for (int first = 0; first < size; first++) {
            boolean seen = false;
            for (int i = 0; i < first && !seen; i++) {
                seen = of[i] == of[first];
            }
            if (!seen) {
                long piece = 0;
                for (int i = first; i < size; i++) {
                    piece += of[i] == of[first] ? packed(i) : 0;
                }
                tally.add(piece);
            }
        }
        int cuts = 0;
        for (int[] t : ties) {
            cuts += of[t[0]] == of[t[1]] ? 0 : 1;
        }
        return tally.value(ask, cuts);
    }

    /** What a growth adds to its piece: living, rooted, with a lead, with a leaf; a byte each. */
    private long packed(int growth) {
        Growth g = plant.growths().get(growth);
        return g.dead() ? 0 : 1L | (g.roots() ? 1L << 8 : 0) | (g.lead() ? 1L << 16 : 0) | (g.leaf() ? 1L << 24 : 0);
    }

    /** Sums over the pieces of one division. */
    private final class Tally {

        private int pieces;
        private double sum;
        private double least = 1;
        private double best;
        private int seasons;

        void clear() {
            pieces = 0;
            sum = 0;
            least = 1;
            best = 0;
            seasons = 0;
        }

        void add(long piece) {
            int living = (int) (piece & 0xff);
            if (living == 0) {
                return;
            }
            boolean lead = (piece >> 16 & 0xff) > 0;
            double chance = worth.chance(living, (int) (piece >> 8 & 0xff), lead, (piece >> 24 & 0xff) > 0);
            pieces++;
            sum += chance;
            least = Math.min(least, chance);
            best = Math.max(best, chance);
            seasons = Math.max(seasons, worth.seasons(living, lead));
        }

        double[] value(Ask ask, int cuts) {
            return Cutting.value(ask, pieces, sum, least, best, seasons, cuts);
        }
    }

    /** A tree falls into two with every cut: growths from the outside in hand what they hold to the next, unless they are cut from it. */
    private Optional<Division> everyCutOfATree(Ask ask) {
        int[] order = new int[size];
        int[] parent = new int[size];
        walk(order, parent);
        long[] own = new long[size];
        for (int i = 0; i < size; i++) {
            own[i] = packed(i);
        }
        Best best = new Best(ask);
        Tally tally = new Tally();
        long[] holds = new long[size];
        for (int cut = 0; cut < 1 << (size - 1); cut++) {
            System.arraycopy(own, 0, holds, 0, size);
            tally.clear();
            for (int at = size - 1; at > 0; at--) {
                int growth = order[at];
                if ((cut >> (at - 1) & 1) == 1) {
                    tally.add(holds[growth]);
                } else {
                    holds[parent[growth]] += holds[growth];
                }
            }
            tally.add(holds[order[0]]);
            double[] value = tally.value(ask, Integer.bitCount(cut));
            if (value != null && (best.value == null || Cutting.compare(value, best.value) >= 0)) {
                best.offer(value, pieces(order, parent, cut));
            }
        }
        return best.found();
    }

    private void walk(int[] order, int[] parent) {
        boolean[] seen = new boolean[size];
        seen[0] = true;
        int there = 1;
        for (int at = 0; at < there; at++) {
            for (int other = 0; other < size; other++) {
                if (tied[order[at]][other] && !seen[other]) {
                    seen[other] = true;
                    parent[other] = order[at];
                    order[there++] = other;
                }
            }
        }
    }

    private int[] pieces(int[] order, int[] parent, int cut) {
        int[] of = new int[size];
        of[order[0]] = order[0];
        for (int at = 1; at < size; at++) {
            of[order[at]] = (cut >> (at - 1) & 1) == 1 ? order[at] : of[parent[order[at]]];
        }
        return of;
    }

    /** Where growths are tied by more ways than one, ties within a piece are not cut: each division is tried once. */
    private Optional<Division> everyCut(Ask ask) {
        Best best = new Best(ask);
        for (int kept = 0; kept < 1 << ties.length; kept++) {
            int[] of = joined(kept);
            boolean whole = true;
            for (int t = 0; t < ties.length && whole; t++) {
                whole = (kept >> t & 1) == 1 || of[ties[t][0]] != of[ties[t][1]];
            }
            if (whole) {
                best.offer(of);
            }
        }
        return best.found();
    }

    private int[] joined(int kept) {
        int[] of = new int[size];
        for (int i = 0; i < size; i++) {
            of[i] = i;
        }
        for (int t = 0; t < ties.length; t++) {
            if ((kept >> t & 1) == 1) {
                join(of, ties[t][0], ties[t][1]);
            }
        }
        return of;
    }

    private static void join(int[] of, int a, int b) {
        int from = Math.max(of[a], of[b]);
        int to = Math.min(of[a], of[b]);
        for (int i = 0; i < of.length; i++) {
            if (of[i] == from) {
                of[i] = to;
            }
        }
    }

    private Optional<Division> climb(Ask ask) {
        Random random = new Random(20);
        Best best = new Best(ask);
        for (int climb = 0; climb < CLIMBS; climb++) {
            int[] of = joined(0);
            double keep = climb / (CLIMBS - 1.0);
            for (int[] t : ties) {
                if (climb == CLIMBS - 1 || random.nextDouble() < keep) {
                    join(of, t[0], t[1]);
                }
            }
            best.offer(climbed(ask, of));
        }
        return best.found();
    }

    private int[] climbed(Ask ask, int[] start) {
        int[] of = start;
        double[] value = softly(ask, of);
        while (true) {
            int[] better = null;
            for (int[] next : neighbours(of)) {
                double[] offered = softly(ask, next);
                if (Cutting.compare(offered, value) > 0) {
                    value = offered;
                    better = next;
                }
            }
            if (better == null) {
                return of;
            }
            of = better;
        }
    }

    /** Also of a division that does not meet the aim: how far it is from that comes first. */
    private double[] softly(Ask ask, int[] of) {
        double[] value = value(ask, of);
        double[] soft = new double[5];
        if (value != null) {
            System.arraycopy(value, 0, soft, 1, value.length);
            return soft;
        }
        Division division = cutting.division(of);
        soft[0] = ask.aim() == Ask.Aim.BEST_KEPT
                ? -Math.abs(division.pieces().size() - ask.away() - 1)
                : division.leastSure() - 1 - ask.sure();
        soft[1] = division.expected();
        return soft;
    }

    /** A join of two pieces, a growth that goes to its neighbour's piece or by itself, a piece parted at a tie. */
    private List<int[]> neighbours(int[] of) {
        List<int[]> next = new ArrayList<>();
        for (int[] t : ties) {
            if (of[t[0]] != of[t[1]]) {
                int[] joined = of.clone();
                join(joined, t[0], t[1]);
                next.add(joined);
                next.add(moved(of, t[0], of[t[1]]));
                next.add(moved(of, t[1], of[t[0]]));
            } else {
                next.add(parted(of, t[0], t[1]));
            }
        }
        for (int growth = 0; growth < size; growth++) {
            next.add(moved(of, growth, size));
        }
        return next;
    }

    private int[] moved(int[] of, int growth, int to) {
        int[] moved = of.clone();
        moved[growth] = to;
        return connected(moved);
    }

    /** The piece in two: what is nearer to one end of a tie, and what is nearer to the other. */
    private int[] parted(int[] of, int one, int other) {
        int[] steps = new int[size];
        Arrays.fill(steps, -1);
        int[] side = new int[size];
        int[] queue = new int[size];
        queue[0] = one;
        queue[1] = other;
        steps[one] = 0;
        steps[other] = 0;
        side[other] = 1;
        int there = 2;
        for (int at = 0; at < there; at++) {
            for (int next = 0; next < size; next++) {
                if (tied[queue[at]][next] && of[next] == of[one] && steps[next] < 0) {
                    steps[next] = steps[queue[at]] + 1;
                    side[next] = side[queue[at]];
                    queue[there++] = next;
                }
            }
        }
        int[] parted = of.clone();
        for (int i = 0; i < size; i++) {
            if (of[i] == of[one] && side[i] == 1) {
                parted[i] = size;
            }
        }
        return connected(parted);
    }

    /** The same with each connected part a piece of its own, called by its lowest growth. */
    private int[] connected(int[] of) {
        int[] named = new int[size];
        Arrays.fill(named, -1);
        for (int first = 0; first < size; first++) {
            if (named[first] < 0) {
                spread(of, named, first, first);
            }
        }
        return named;
    }

    private void spread(int[] of, int[] named, int growth, int name) {
        named[growth] = name;
        for (int next = 0; next < size; next++) {
            if (tied[growth][next] && named[next] < 0 && of[next] == of[growth]) {
                spread(of, named, next, name);
            }
        }
    }
}
