package garden.vivarium.core.measure;

import garden.vivarium.core.Text;
import garden.vivarium.core.guide.Protocol;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What a batch needs, from its protocol and its numbers: medium, trays, pots, mix, top dressing, labels, hormone. */
public final class Materials {

    /** Square metres of a tray's inside, and litres of a cell: the usual sizes, not a standard. */
    private static final double TRAY_AREA = 0.09;

    private static final double CELL_LITRES = 0.03;
    private static final double LITRES_PER_CM = 10;
    /** What keeps the necks of desert kinds dry: a layer of grit on their gritty mix. */
    private static final String TOP_DRESSING = "coarse grit";

    private static final double DRESSING_CM = 1;
    private static final double HORMONE_GRAMS = 0.05;
    private static final List<String> NO_MEDIUM =
            List.of("water", "open vessel over water with moss", "open ground", "laid on the surface");

    private Materials() {}

    /** In what a need is measured. */
    public enum Unit {
        LITRES("L"),
        PIECES(""),
        GRAMS("g");

        private final String sign;

        Unit(String sign) {
            this.sign = sign;
        }

        public String sign() {
            return sign;
        }
    }

    /**
     * Something needed.
     *
     * @param item its name
     * @param amount above 0
     * @param unit in what
     */
    public record Need(String item, double amount, Unit unit) {}

    /**
     * What a batch needs.
     *
     * @param protocol by which it is stuck
     * @param pieces how many are taken, 1 and up
     * @param trays trays that they fill
     * @param pots young plants to be potted, 0 and up
     */
    public static List<Need> of(Protocol protocol, int pieces, double trays, int pots) {
        List<Need> needs = new ArrayList<>();
        Protocol.Vessel vessel = protocol.placing().vessel();
        if (!NO_MEDIUM.contains(protocol.medium())) {
            double litres = vessel.kind() == Protocol.Vessel.Kind.CELLS
                    ? pieces * CELL_LITRES
                    : trays * TRAY_AREA * LITRES_PER_CM * vessel.depthCm();
            of(protocol.medium(), Pot.SETTLING * litres)
                    .forEach((what, amount) -> needs.add(new Need(what, amount, Unit.LITRES)));
        }
        if (vessel.kind() != Protocol.Vessel.Kind.OTHER) {
            needs.add(new Need("trays", Math.ceil(trays), Unit.PIECES));
        }
        needs.add(new Need("labels", Math.max(1, Math.ceil(trays)), Unit.PIECES));
        if (protocol.technique().treatment().hormone().isPresent()) {
            needs.add(new Need("rooting hormone", HORMONE_GRAMS * pieces, Unit.GRAMS));
        }
        PotSize size = protocol.potting().pot();
        size.shape().filter(p -> pots > 0).ifPresent(pot -> {
            String mix = protocol.potting().mix();
            needs.add(
                    new Need("pots, " + Text.figure(size.acrossMm().orElseThrow() / 10.0) + " cm", pots, Unit.PIECES));
            needs.add(new Need(mix, pots * pot.fill(), Unit.LITRES));
            if (mix.contains("gritty")) {
                needs.add(new Need(TOP_DRESSING, pots * pot.dressing(DRESSING_CM), Unit.LITRES));
            }
        });
        return needs;
    }

    /** Litres of each thing in a medium, which may be a mix by parts. */
    private static Map<String, Double> of(String medium, double litres) {
        return medium.contains(" + ") ? Mix.read(medium).litres(litres) : Map.of(medium, litres);
    }

    /** Needs of several batches, each item once. */
    public static List<Need> together(List<Need> all) {
        Map<String, Need> sum = new LinkedHashMap<>();
        all.forEach(n -> sum.merge(n.item(), n, (a, b) -> new Need(a.item(), a.amount() + b.amount(), a.unit())));
        return List.copyOf(sum.values());
    }

    /**
     * Whole packs to buy.
     *
     * @param need what is needed
     * @param there what is in the shed, 0 and up
     * @param pack what a pack holds, above 0
     */
    public static int packs(double need, double there, double pack) {
        return (int) Math.max(0, Math.ceil((need - there) / pack - 1e-9));
    }
}
