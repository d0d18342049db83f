package garden.vivarium.app.benchmap;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Whereabouts;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.measure.BenchLayout.Size;
import garden.vivarium.core.measure.BenchLayout.Spot;
import garden.vivarium.core.measure.Length;
import garden.vivarium.core.measure.Quantity;
import garden.vivarium.core.watch.PlaceFit;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts what lies on the map elsewhere: vessels, benches, houses. */
@Service
public class BenchMoves {

    private static final double MOST_CM = 100_000;

    private final BenchMaps maps;
    private final BatchBook book;
    private final Whereabouts whereabouts;
    private final Stock stock;
    private final PlacePlanRepository plans;
    private final HousePlanRepository houses;
    private final VesselSpotRepository spots;
    private final Today today;
    private final Words words;

    BenchMoves(
            BenchMaps maps,
            BatchBook book,
            Whereabouts whereabouts,
            Stock stock,
            PlacePlanRepository plans,
            HousePlanRepository houses,
            VesselSpotRepository spots,
            Today today,
            Words words) {
        this.maps = maps;
        this.book = book;
        this.whereabouts = whereabouts;
        this.stock = stock;
        this.plans = plans;
        this.houses = houses;
        this.spots = spots;
        this.today = today;
        this.words = words;
    }

    /**
     * Puts a vessel somewhere: on another bench, which is a carrying, or elsewhere on its own.
     *
     * @throws InvalidField if there is no such place on the map
     */
    @Transactional
    public void put(String code, UUID place, double x, double y) {
        BatchView batch = book.entry(code).batch();
        PlaceView to = stock.places().stream()
                .filter(p -> p.id().equals(place))
                .findFirst()
                .orElseThrow(() -> new NotFound(Messages.text("BenchMoves.no.such.place")));
        refuseFar(x, y);
        // What shares a vessel goes with it.
        List<BatchView> together = whereabouts.inVesselOf(batch).stream()
                .filter(b -> BenchMaps.pieces(b) > 0 && b.placeId().equals(batch.placeId()))
                .sorted(Comparator.comparing(BatchView::takenOn).thenComparing(BatchView::code))
                .toList();
        double left = together.size() > 1 ? BenchMaps.size(together).wide() * BenchMaps.before(together, batch) : 0;
        for (BatchView each : together.isEmpty() ? List.of(batch) : together) {
            if (!to.id().equals(each.placeId())) {
                whereabouts.carry(each.code(), today.date(), to.name(), null, null);
            }
            VesselSpot spot = spots.findByBatchId(each.id()).orElseGet(() -> new VesselSpot(each.id()));
            spot.stands(place, new Spot(Math.max(0, x - left), y));
            spots.save(spot);
        }
    }

    /** Puts a bench elsewhere in its house. */
    @Transactional
    public void putBench(UUID place, double x, double y) {
        refuseFar(x, y);
        PlacePlan plan = plan(place);
        plan.lies(Math.max(BenchMaps.WALL, x), Math.max(BenchMaps.WALL, y));
        plans.save(plan);
    }

    /** Puts a house elsewhere on the site. */
    @Transactional
    public void putHouse(String name, double x, double y) {
        refuseFar(x, y);
        if (maps.places().stream().noneMatch(d -> d.house().equals(name))) {
            throw new NotFound(Messages.text("BenchMoves.no.such.house"));
        }
        HousePlan house = houses.findByName(name).orElseGet(() -> new HousePlan(name));
        house.lies(x, y);
        houses.save(house);
    }

    private static void refuseFar(double x, double y) {
        if (!(Math.abs(x) <= MOST_CM) || !(Math.abs(y) <= MOST_CM)) {
            throw new InvalidField("x", Messages.text("BenchMaps.far"));
        }
    }

    /** How large a bench may be. */
    static String sizes(Words words) {
        return words.say(
                "BenchMaps.size", "size", new Quantity.Between(Length.ofCentimetres(10), Length.ofCentimetres(10_000)));
    }

    /**
     * Says what a bench is, and what air it has.
     *
     * @throws InvalidField if its size cannot be
     */
    @Transactional
    public void describe(UUID place, String house, Size size, PlaceFit.Air air) {
        if (!(size.wide() >= 10 && size.wide() <= 10_000 && size.deep() >= 10 && size.deep() <= 10_000)) {
            throw new InvalidField("wide", sizes(words));
        }
        PlacePlan plan = plan(place);
        plan.is(house == null || house.isBlank() ? plan.house() : house.strip(), size);
        plan.has(air);
        plans.save(plan);
    }

    private PlacePlan plan(UUID place) {
        return plans.findByPlaceId(place).orElseGet(() -> {
            BenchMaps.Drawn drawn = maps.places().stream()
                    .filter(d -> d.place().id().equals(place))
                    .min(Comparator.comparing(d -> d.place().name()))
                    .orElseThrow(() -> new NotFound(Messages.text("BenchMoves.no.such.place")));
            return new PlacePlan(place, drawn.house(), drawn.size());
        });
    }
}
