package garden.vivarium.app.demo;

import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import garden.vivarium.app.care.Outcome;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.stock.Quarantine;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.watch.PlaceFit;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;

/** What the sample nursery is made from, as the file has it. */
record DemoBook(
        Map<String, Spot> places,
        List<Mother> stock,
        List<Ways> ways,
        List<Kept> kept,
        List<Recut> recut,
        List<Drying> drying,
        List<CutHard> cutHard,
        List<Treated> care,
        List<Look> looks,
        List<Promised> promised,
        List<Stored> shed,
        List<Planned> planned) {

    /** A place of the nursery: what it holds, how large it is in cm, and its warmth in °C, air in per cent, light; null where nobody said. */
    record Spot(
            String name,
            Climate climate,
            Double trays,
            List<Double> size,
            List<Double> warmth,
            List<Double> humidity,
            PlaceFit.Light light) {}

    /** A stock plant or lot. */
    record Mother(
            String plant,
            String group,
            String place,
            int pieces,
            StockState state,
            StockKind kind,
            String origin,
            String supplier,
            Integer arrived,
            String inspection,
            Protection protection,
            boolean nameUnsure,
            String confirmWhen,
            Quarantine.Pest quarantine) {

        Mother {
            state = state == null ? StockState.GROWING : state;
            kind = kind == null ? StockKind.PLANT : kind;
            protection = protection == null ? Protection.FREE : protection;
        }
    }

    /**
     * Batches of a way in the nursery's past and present.
     *
     * @param protocol the guide's protocol, or {@code own} for the nursery's own
     * @param past how many of the last three years
     * @param running ages in days of those not yet over
     * @param stuck pieces in a batch
     * @param tray rows and columns, or null where they stand loose
     * @param rate what is true of this nursery's strike rate
     * @param speed what is true of its speed: 1 as the guide, above 1 slower
     * @param treatment other treatment than the protocol's, or null
     * @param better the rate under the second version of the nursery's own protocol
     */
    record Ways(
            String plant,
            String protocol,
            String place,
            int past,
            List<Integer> running,
            int stuck,
            List<Integer> tray,
            double rate,
            double speed,
            String treatment,
            double better) {}

    /** Young plants kept as stock plants. */
    record Kept(String plant, int ago, int count, String place, int pieces) {}

    /** Pieces cut again from a running batch. */
    record Recut(String plant, String protocol, String place, int ago, int pieces) {}

    /** Pieces whose wounds dry. */
    record Drying(String plant, String protocol, String place, int ago, int pieces, int hunch, int minutes) {}

    /** A stock plant cut down to its lowest live nodes. */
    record CutHard(String plant, int ago, int pieces) {}

    /** Care of a stock plant, by a sign and one of its causes in the guide. */
    record Treated(String plant, String symptom, int cause, int ago, Outcome outcome) {}

    /** A look at a stock plant. */
    record Look(String plant, int ago, Integer shoots, String note) {}

    /** Plants promised; without days it is a name in line. */
    record Promised(String who, String plant, int plants, Integer inDays) {}

    /** Something in the shed. */
    record Stored(String name, Double there, Double pack, Double price, String recipe) {}

    /** A plan not stuck yet. */
    record Planned(String plant, String protocol, int plants, int inDays, int startIn) {}

    static DemoBook read() {
        YAMLMapper mapper = YAMLMapper.builder()
                .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .build();
        try (InputStream file = DemoBook.class.getResourceAsStream("/demo/cold-slipway.yaml")) {
            return mapper.readValue(file, DemoBook.class);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
