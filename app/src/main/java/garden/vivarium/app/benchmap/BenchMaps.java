package garden.vivarium.app.benchmap;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Whereabouts;
import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.bench.Task;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.BenchLayout;
import garden.vivarium.core.measure.BenchLayout.Box;
import garden.vivarium.core.measure.BenchLayout.Size;
import garden.vivarium.core.measure.BenchLayout.Spot;
import garden.vivarium.core.watch.PlaceFit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Draws the map up. */
@Service
public class BenchMaps {

    /** A bench of which nobody said how large it is: two trays deep. */
    private static final double USUAL_DEEP = 60;

    private static final double USUAL_WIDE = 224;
    private static final double AISLE = 70;
    static final double WALL = 40;
    private static final double BETWEEN_HOUSES = 80;
    /** How much wider than high a map is, and half as much again for what rows leave empty. */
    private static final double SCREEN = 3;

    private static final double GAP = 1.5;

    private final Benches benches;
    private final Whereabouts whereabouts;
    private final Stock stock;
    private final PlacePlanRepository plans;
    private final HousePlanRepository houses;
    private final VesselSpotRepository spots;
    private final GuideLookup lookup;
    private final Words words;

    BenchMaps(
            Benches benches,
            Whereabouts whereabouts,
            Stock stock,
            PlacePlanRepository plans,
            HousePlanRepository houses,
            VesselSpotRepository spots,
            GuideLookup lookup,
            Words words) {
        this.benches = benches;
        this.whereabouts = whereabouts;
        this.stock = stock;
        this.plans = plans;
        this.houses = houses;
        this.spots = spots;
        this.lookup = lookup;
        this.words = words;
    }

    /** A place with its plan; one that nobody drew has a usual bench in a house of its name's first part. */
    record Drawn(PlaceView place, String house, Optional<PlacePlan> plan, Size size) {

        /** What air it has, as far as anybody said. */
        public PlaceFit.Air air() {
            return plan.map(PlacePlan::air)
                    .orElse(new PlaceFit.Air(Optional.empty(), Optional.empty(), Optional.empty()));
        }
    }

    /** All places as they are drawn, in walking order. */
    @Transactional(readOnly = true)
    List<Drawn> places() {
        Map<UUID, PlacePlan> byPlace =
                plans.findAll().stream().collect(Collectors.toMap(PlacePlan::placeId, Function.identity()));
        return stock.places().stream()
                .map(p -> {
                    Optional<PlacePlan> plan = Optional.ofNullable(byPlace.get(p.id()));
                    return new Drawn(
                            p,
                            plan.map(PlacePlan::house).orElseGet(() -> houseOf(p.name())),
                            plan,
                            plan.map(PlacePlan::size).orElseGet(() -> usual(p)));
                })
                .toList();
    }

    private static String houseOf(String name) {
        int comma = name.indexOf(',');
        return comma > 0 ? name.substring(0, comma).strip() : name;
    }

    /** Two trays deep, as long as its trays need. */
    private static Size usual(PlaceView place) {
        double wide = place.trays() == null
                ? USUAL_WIDE
                : Math.max(1, Math.ceil(place.trays() / 2)) * (BenchLayout.TRAY.wide() + GAP) + GAP;
        return new Size(wide, USUAL_DEEP);
    }

    /** The map of today, of all places. */
    @Transactional(readOnly = true)
    BenchMap map(List<Drawn> places) {
        Map<UUID, List<BenchMap.Vessel>> vessels = vessels(places);
        Map<String, List<Drawn>> byHouse =
                places.stream().collect(Collectors.groupingBy(Drawn::house, LinkedHashMap::new, Collectors.toList()));
        Map<String, HousePlan> drawnHouses =
                houses.findAll().stream().collect(Collectors.toMap(HousePlan::name, Function.identity()));
        List<BenchMap.House> all = new ArrayList<>();
        byHouse.forEach((name, in) -> all.add(house(name, in, vessels)));
        // Houses that nobody put anywhere stand in rows, about as wide as a screen.
        double row = Math.sqrt(SCREEN
                * all.stream()
                        .mapToDouble(h -> (h.wide() + BETWEEN_HOUSES) * (h.deep() + BETWEEN_HOUSES))
                        .sum());
        double x = 0;
        double y = 0;
        double deepest = 0;
        for (int i = 0; i < all.size(); i++) {
            BenchMap.House house = all.get(i);
            if (x > 0 && x + house.wide() > row) {
                x = 0;
                y += deepest + BETWEEN_HOUSES;
                deepest = 0;
            }
            HousePlan put = drawnHouses.get(house.name());
            all.set(i, put == null ? house.at(x, y) : house.at(put.x(), put.y()));
            x += house.wide() + BETWEEN_HOUSES;
            deepest = Math.max(deepest, house.deep());
        }
        return new BenchMap(all, vessels.values().stream().flatMap(List::stream).toList());
    }

    private static BenchMap.House house(String name, List<Drawn> places, Map<UUID, List<BenchMap.Vessel>> vessels) {
        List<BenchMap.Bench> benches = new ArrayList<>();
        double y = AISLE;
        double wide = 0;
        double deep = 0;
        for (Drawn d : places) {
            double left = d.plan().map(PlacePlan::x).orElse(WALL);
            double back = d.plan().map(PlacePlan::y).filter(v -> v > 0).orElse(y);
            List<BenchMap.Vessel> on = vessels.getOrDefault(d.place().id(), List.of());
            double taken = on.stream()
                    .mapToDouble(v -> v.at().wide() * v.at().deep() / BenchLayout.TRAY.area())
                    .sum();
            double trays = d.place().trays() == null
                    ? BenchLayout.trays(d.size())
                    : d.place().trays();
            benches.add(new BenchMap.Bench(
                    d.place().id(),
                    d.place().name(),
                    Math.max(left, WALL),
                    back,
                    d.size().wide(),
                    d.size().deep(),
                    trays,
                    Math.round(10 * taken) / 10.0));
            y = Math.max(y, back + d.size().deep() + AISLE);
            wide = Math.max(wide, Math.max(left, WALL) + d.size().wide() + WALL);
            deep = Math.max(deep, back + d.size().deep() + WALL);
        }
        return new BenchMap.House(name, 0, 0, wide, deep, benches);
    }

    /** By place, what stands there. */
    private Map<UUID, List<BenchMap.Vessel>> vessels(List<Drawn> places) {
        Map<UUID, Drawn> drawn =
                places.stream().collect(Collectors.toMap(d -> d.place().id(), Function.identity()));
        Map<UUID, VesselSpot> put =
                spots.findAll().stream().collect(Collectors.toMap(VesselSpot::batchId, Function.identity()));
        List<Benches.Row> rows = benches.open().stream()
                .filter(r ->
                        pieces(r.batch()) > 0 && drawn.containsKey(r.batch().placeId()))
                .toList();
        Map<UUID, UUID> shared = new HashMap<>();
        whereabouts.vessels().forEach((vessel, all) -> all.forEach(b -> shared.put(b.id(), vessel)));
        Map<UUID, List<BenchMap.Vessel>> byPlace = new LinkedHashMap<>();
        rows.stream().collect(Collectors.groupingBy(r -> r.batch().placeId())).forEach((place, here) -> {
            Drawn d = drawn.get(place);
            Collection<List<Benches.Row>> together = here.stream()
                    .collect(Collectors.groupingBy(
                            r -> shared.getOrDefault(r.batch().id(), r.batch().id()),
                            LinkedHashMap::new,
                            Collectors.toList()))
                    .values();
            List<Box> boxes = together.stream()
                    .map(all -> new Box(
                            all.get(0).batch().code(),
                            size(all.stream().map(Benches.Row::batch).toList()),
                            spot(all, put, place)))
                    .toList();
            BenchLayout layout = BenchLayout.of(d.size(), boxes, GAP);
            byPlace.put(
                    place,
                    together.stream().flatMap(all -> shares(all, d, layout)).toList());
        });
        return byPlace;
    }

    /** Where somebody put a vessel on this bench. */
    private static Optional<Spot> spot(List<Benches.Row> together, Map<UUID, VesselSpot> put, UUID place) {
        return together.stream()
                .map(r -> put.get(r.batch().id()))
                .filter(s -> s != null && s.placeId().equals(place))
                .findFirst()
                .map(VesselSpot::spot);
    }

    /** Each batch of a vessel with its share of it, side by side. */
    private Stream<BenchMap.Vessel> shares(List<Benches.Row> together, Drawn d, BenchLayout layout) {
        List<BatchView> batches = together.stream().map(Benches.Row::batch).toList();
        Size size = size(batches);
        Optional<Spot> spot =
                Optional.ofNullable(layout.spots().get(batches.get(0).code()));
        // What found no room lies across the front edge, so that it is seen.
        Spot at = spot.orElse(new Spot(0, d.size().deep() - size.deep() / 3));
        return together.stream()
                .map(r -> vessel(
                        r,
                        d,
                        new BenchMap.Rect(
                                at.x() + size.wide() * before(batches, r.batch()),
                                at.y(),
                                size.wide() * share(batches, r.batch()),
                                size.deep()),
                        spot.isPresent(),
                        batches.size() > 1));
    }

    private static double share(List<BatchView> together, BatchView batch) {
        return pieces(batch)
                / (double) together.stream().mapToInt(BenchMaps::pieces).sum();
    }

    /** The share of those that stand to its left. */
    static double before(List<BatchView> together, BatchView batch) {
        double left = 0;
        for (BatchView other : together) {
            if (other.id().equals(batch.id())) {
                break;
            }
            left += share(together, other);
        }
        return left;
    }

    static Size size(List<BatchView> together) {
        return together.size() == 1
                ? size(together.get(0))
                : together.stream()
                        .filter(BatchView::isTray)
                        .findFirst()
                        .map(BenchMaps::size)
                        .orElseGet(() -> BenchLayout.sizeOf(
                                Optional.empty(),
                                Optional.empty(),
                                together.stream().mapToInt(BenchMaps::pieces).sum()));
    }

    static int pieces(BatchView b) {
        return b.isStuck() ? b.counts().pending() + b.readyToMove() : b.taken();
    }

    private static Size size(BatchView b) {
        return BenchLayout.sizeOf(
                Optional.ofNullable(b.vessel().rows()),
                Optional.ofNullable(b.vessel().columns()),
                pieces(b));
    }

    private BenchMap.Vessel vessel(Benches.Row row, Drawn d, BenchMap.Rect at, boolean placed, boolean shared) {
        BatchView b = row.batch();
        Optional<Task> move = row.tasks().stream().filter(Task::isMove).findFirst();
        String mark = row.isBehind()
                ? "behind"
                : move.filter(Task::pressing).isPresent() ? "long" : b.readyToMove() > 0 ? "ready" : "";
        List<String> misfits = d
                .plan()
                .flatMap(p -> lookup.protocol(b.protocol(), b.protocolVersion(), b.way())
                        .map(Protocol::keeping)
                        .map(k -> PlaceFit.of(p.air(), k.air())))
                .orElse(List.of())
                .stream()
                .map(words::of)
                .toList();
        return new BenchMap.Vessel(
                b.code(),
                b.plant(),
                b.placeId(),
                at,
                b.isTray() && !shared ? b.vessel().columns() : 0,
                row.drawn() == null ? byCount(b) : row.drawn(),
                mark,
                words.say(
                        "benchmap.says",
                        "waiting",
                        b.isStuck() ? b.counts().pending() : b.taken(),
                        "ready",
                        b.isStuck() ? b.readyToMove() : 0,
                        "stuck",
                        b.isStuck(),
                        "mark",
                        mark.isEmpty() ? "none" : mark,
                        "shared",
                        shared),
                misfits,
                placed);
    }

    /** Where nobody knows which piece is which. */
    private static String byCount(BatchView b) {
        if (!b.isStuck()) {
            return "n".repeat(b.taken());
        }
        int signs = Math.max(0, b.counts().firstSign() - b.counts().ready());
        return "r".repeat(b.readyToMove())
                + "f".repeat(Math.min(signs, b.counts().pending()))
                + "n".repeat(Math.max(0, b.counts().pending() - signs))
                + "l".repeat(b.counts().lost() + b.counts().lostReady());
    }
}
