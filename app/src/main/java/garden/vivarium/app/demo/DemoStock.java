package garden.vivarium.app.demo;

import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.timing.Climate;
import java.util.List;

/** What stands at Cold Slipway. All names are made up. */
final class DemoStock {

    /** A place of the nursery. */
    record Spot(String name, Climate climate) {}

    /** A stock plant of the nursery. */
    record Parent(
            String plant,
            String group,
            String place,
            int pieces,
            StockState state,
            String origin,
            Protection protection,
            int quarantineDays) {}

    /**
     * Batches of a way in the nursery's past and present.
     *
     * @param plant the plant's name
     * @param protocol the guide's protocol
     * @param place where the batches stand
     * @param batches how many of the past
     * @param running ages in days of those still running
     * @param stuck pieces in a batch
     * @param tray whether they stand in cells
     * @param rate what is true of this nursery's strike rate
     * @param speed what is true of its speed: 1 as the guide, above 1 slower
     * @param treatment other treatment than the protocol's, or null
     */
    record Ways(
            String plant,
            String protocol,
            String place,
            int batches,
            int[] running,
            int stuck,
            boolean tray,
            double rate,
            double speed,
            String treatment) {}

    static final String GLASS = "Glasshouse, mist bench";
    static final String GLASS_DRY = "Glasshouse, dry shelf";
    static final String TUNNEL = "Shade tunnel";
    static final String LIT = "Frost-free shed, lit shelf";

    static final List<Spot> PLACES = List.of(
            new Spot(GLASS, Climate.HEATED),
            new Spot(GLASS_DRY, Climate.HEATED),
            new Spot(TUNNEL, Climate.COLD),
            new Spot(LIT, Climate.LIT));

    static final List<Parent> PARENTS = List.of(
            parent("Fuchsia ‘Skerry Lantern’", "soft", GLASS, 70, StockState.GROWING, "from the old tunnel, 2021"),
            parent("Pelargonium ‘Kelpbank’", "soft", LIT, 48, StockState.GROWING, "swapped with a neighbour, 2022"),
            parent("Sage ‘Lighter Grey’", "soft", TUNNEL, 60, StockState.WOODY, "raised here from seed"),
            parent("Rosemary ‘Bollard’", "woody", TUNNEL, 80, StockState.GROWING, "from the quay garden"),
            parent("Hydrangea ‘Spindrift’", "woody", TUNNEL, 40, StockState.DORMANT, "bought in, 2023"),
            parent("Penstemon ‘Harbour Bar’", "soft", GLASS, 55, StockState.IN_FLOWER, "raised here"),
            parent("Box ‘Breakwater’", "woody", TUNNEL, 120, StockState.GROWING, "from the quay garden"),
            parent("Streptocarpus ‘Ebb’", "rosette", LIT, 30, StockState.GROWING, "from a single leaf, 2023"),
            parent("Haworthia ‘Barnacle’", "succulent", GLASS_DRY, 12, StockState.GROWING, "swapped, 2022"),
            parent("Houseleek ‘Rust Anchor’", "succulent", GLASS_DRY, 35, StockState.GROWING, "from the slipway wall"),
            parent("Hosta ‘Tidewrack’", "clump", TUNNEL, 10, StockState.DORMANT, "bought in, 2022"),
            parent("Butterwort ‘Dewpond’", "insect-eater", LIT, 26, StockState.GROWING, "raised here from seed"),
            parent("Lily ‘Storm Glass’", "bulb", GLASS_DRY, 45, StockState.DORMANT, "bought in this autumn"));

    static final List<Ways> WAYS = List.of(
            new Ways(
                    "Fuchsia ‘Skerry Lantern’",
                    "tip-in-plugs",
                    GLASS,
                    9,
                    new int[] {12, 37},
                    24,
                    true,
                    0.86,
                    0.95,
                    null),
            new Ways(
                    "Fuchsia ‘Skerry Lantern’", "tip-in-water", GLASS, 5, new int[] {9, 33}, 12, false, 0.7, 1.0, null),
            new Ways("Pelargonium ‘Kelpbank’", "tip-in-perlite", LIT, 4, new int[] {18}, 18, false, 0.82, 1.0, null),
            new Ways("Sage ‘Lighter Grey’", "heel-in-grit", TUNNEL, 3, new int[] {}, 20, false, 0.62, 1.1, null),
            new Ways("Rosemary ‘Bollard’", "heel-in-grit", TUNNEL, 3, new int[] {58}, 24, false, 0.7, 1.0, null),
            new Ways("Box ‘Breakwater’", "semi-ripe-in-perlite", TUNNEL, 2, new int[] {88}, 40, true, 0.66, 1.0, null),
            new Ways("Penstemon ‘Harbour Bar’", "tip-in-plugs", GLASS, 3, new int[] {33}, 24, true, 0.8, 1.0, ""),
            new Ways(
                    "Streptocarpus ‘Ebb’", "leaf-stalk-in-perlite", LIT, 2, new int[] {41}, 10, false, 0.78, 1.0, null),
            new Ways(
                    "Houseleek ‘Rust Anchor’",
                    "offset-in-gritty-mix",
                    GLASS_DRY,
                    2,
                    new int[] {24},
                    15,
                    false,
                    0.9,
                    1.0,
                    null),
            new Ways(
                    "Hosta ‘Tidewrack’",
                    "clump-in-leafy-compost",
                    TUNNEL,
                    2,
                    new int[] {30},
                    8,
                    false,
                    0.93,
                    1.0,
                    null),
            new Ways("Butterwort ‘Dewpond’", "leaf-pull-on-moss", LIT, 1, new int[] {52}, 12, false, 0.7, 1.0, null),
            new Ways(
                    "Lily ‘Storm Glass’",
                    "scale-in-vermiculite",
                    GLASS_DRY,
                    1,
                    new int[] {20},
                    20,
                    false,
                    0.8,
                    1.0,
                    null));

    private DemoStock() {}

    private static Parent parent(
            String plant, String group, String place, int pieces, StockState state, String origin) {
        boolean bought = origin.startsWith("bought in this");
        return new Parent(
                plant,
                group,
                place,
                pieces,
                state,
                origin,
                plant.startsWith("Hydrangea") ? Protection.PROTECTED : Protection.FREE,
                bought ? 12 : 0);
    }
}
