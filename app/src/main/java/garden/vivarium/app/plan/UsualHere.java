package garden.vivarium.app.plan;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.UsualWayView;
import garden.vivarium.app.stock.UsualWays;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.treatment.Treatments;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Puts first what this nursery has made its usual way, where it can be done. */
@Component
class UsualHere {

    private final UsualWays usual;

    UsualHere(UsualWays usual) {
        this.usual = usual;
    }

    /** The same ways, the usual ones of those that can be done first. */
    List<WayRow> first(String plant, List<WayRow> rows) {
        List<UsualWayView> here = usual.of(plant);
        if (here.isEmpty()) {
            return rows;
        }
        return rows.stream()
                .sorted(Comparator.comparing((WayRow r) -> !(r.isFeasible() && matches(here, r.protocol()) > 0))
                        .thenComparing(r -> -matches(here, r.protocol())))
                .toList();
    }

    /** Why a way is the usual one here; empty where it is not. */
    Optional<String> why(String plant, Protocol protocol) {
        return usual.of(plant).stream()
                .filter(u -> is(u, protocol))
                .findFirst()
                .map(u -> Messages.text("Ways.why.made.usual", "why", u.why()));
    }

    private static long matches(List<UsualWayView> here, Protocol protocol) {
        return here.stream().filter(u -> is(u, protocol)).count();
    }

    private static boolean is(UsualWayView usual, Protocol protocol) {
        Treatments treatments = protocol.technique().treatment();
        return switch (Factor.valueOf(usual.factor())) {
            case MEDIUM -> protocol.medium().equals(usual.what());
            case METHOD -> protocol.method().equals(usual.what());
            case HORMONE -> isUsual(Factor.HORMONE, usual.what(), treatments.hormones());
            case TREATMENT -> isUsual(Factor.TREATMENT, usual.what(), treatments.others());
            default -> false;
        };
    }

    /** Whether a way has what is usual, or nothing where that is usual. */
    private static boolean isUsual(Factor factor, String usual, Treatments has) {
        return factor.none().filter(usual::equals).isPresent()
                ? has.isEmpty()
                : has.all().containsAll(Treatments.read(usual).all());
    }
}
