package garden.vivarium.core.compare;

import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Two batches of one plant, method, medium and treatment, stuck within six weeks, of which one went well and the other did not: laid side by side, since what
 * else differed between them is worth a thought. Told where their effective counts are more than three standard deviations apart.
 *
 * @param well the one that went well
 * @param badly the other
 * @param differ what else is known to differ, with both values
 */
public record OtherWay(FinishedBatch well, FinishedBatch badly, List<Differs> differ) {

    private static final int DAYS = 42;
    private static final double APART = 3;
    private static final int MOST = 10;

    /** In one respect. */
    public record Differs(Factor factor, String well, String badly) {}

    /** The pairs that are farthest apart, each batch once; the latest first. */
    public static List<OtherWay> of(List<FinishedBatch> all, double rho) {
        Map<String, List<FinishedBatch>> alike = new TreeMap<>(all.stream()
                .collect(Collectors.groupingBy(b -> b.plant() + ", " + b.method() + ", "
                        + b.is(Factor.MEDIUM).orElse("") + ", "
                        + b.is(Factor.HORMONE).orElse("") + ", "
                        + b.is(Factor.TREATMENT).orElse(""))));
        List<Pair> pairs = new ArrayList<>();
        for (List<FinishedBatch> way : alike.values()) {
            for (FinishedBatch a : way) {
                for (FinishedBatch b : way) {
                    if (share(a) > share(b) && Math.abs(ChronoUnit.DAYS.between(a.stuckOn(), b.stuckOn())) <= DAYS) {
                        double apart = apart(a, b, rho);
                        if (apart > APART) {
                            pairs.add(new Pair(a, b, apart));
                        }
                    }
                }
            }
        }
        pairs.sort(Comparator.comparingDouble(Pair::apart).reversed());
        Set<String> told = new HashSet<>();
        List<OtherWay> found = new ArrayList<>();
        for (Pair p : pairs) {
            if (found.size() < MOST
                    && !told.contains(p.well().code())
                    && !told.contains(p.badly().code())) {
                told.add(p.well().code());
                told.add(p.badly().code());
                found.add(new OtherWay(p.well(), p.badly(), differ(p.well(), p.badly())));
            }
        }
        found.sort(Comparator.comparing((OtherWay o) -> o.badly().stuckOn()).reversed());
        return found;
    }

    private record Pair(FinishedBatch well, FinishedBatch badly, double apart) {}

    private static double share(FinishedBatch b) {
        return b.count().kept() / b.count().of();
    }

    private static double apart(FinishedBatch a, FinishedBatch b, double rho) {
        double na = a.count().effectivePieces(rho);
        double nb = b.count().effectivePieces(rho);
        double pooled = (na * share(a) + nb * share(b) + 0.5) / (na + nb + 1);
        return (share(a) - share(b)) / Math.sqrt(pooled * (1 - pooled) * (1 / na + 1 / nb));
    }

    private static List<Differs> differ(FinishedBatch well, FinishedBatch badly) {
        List<Differs> differ = new ArrayList<>();
        for (Factor factor : Factor.values()) {
            if (factor.mayExplain() && factor != Factor.METHOD) {
                String a = well.is(factor).orElse("");
                String b = badly.is(factor).orElse("");
                if (!a.equals(b) && !(a.isEmpty() || b.isEmpty())) {
                    differ.add(new Differs(factor, a, b));
                }
            }
        }
        return differ;
    }
}
