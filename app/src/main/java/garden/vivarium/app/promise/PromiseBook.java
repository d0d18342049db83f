package garden.vivarium.app.promise;

import garden.vivarium.app.bench.ToCome;
import garden.vivarium.app.plan.Owed;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.plan.TopUps;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.plan.Prospect;
import garden.vivarium.core.plan.Supply;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Judges promises. Shares of one batch lie one behind the other in the order in which promises are served, so that no plant
 * counts for two of them; the last in line has what is left over too.
 */
@Service
public class PromiseBook implements Owed {

    /** Question and steps of whether a promise will be met. */
    enum Step implements Rule {
        WILL_IT_BE_MET,
        FROM,
        TOGETHER,
        TOGETHER_BY
    }

    private static final int FAR_AHEAD = 730;
    private static final double SURE = 0.9;
    private static final double EVEN = 0.5;

    private final PromiseRepository promises;
    private final ClaimRepository claims;
    private final ToCome toCome;
    private final Plans plans;
    private final TopUps topUps;
    private final Stock stock;
    private final Says says;
    private final Today today;

    PromiseBook(
            PromiseRepository promises,
            ClaimRepository claims,
            ToCome toCome,
            Plans plans,
            TopUps topUps,
            Stock stock,
            Says says,
            Today today) {
        this.promises = promises;
        this.claims = claims;
        this.toCome = toCome;
        this.plans = plans;
        this.topUps = topUps;
        this.stock = stock;
        this.says = says;
        this.today = today;
    }

    /** Everything that is owed, by plant. */
    @Transactional(readOnly = true)
    public List<PlantPromises> lines() {
        return new Ledger().lines();
    }

    /** Promises whose chance is below what was asked, the first due first. */
    @Transactional(readOnly = true)
    public List<PlantPromises.Judged> atRisk() {
        if (promises.findByState(PromiseState.OPEN).isEmpty()) {
            return List.of();
        }
        return new Ledger()
                .judged()
                .filter(PlantPromises.Judged::isShort)
                .sorted((a, b) -> PromiseView.IN_LINE.compare(a.promise(), b.promise()))
                .toList();
    }

    /** Promises that are still owed. */
    @Transactional(readOnly = true)
    public List<PromiseView> open() {
        return promises.findByState(PromiseState.OPEN).stream()
                .map(Promise::view)
                .toList();
    }

    /** Promises that were kept or dropped last. */
    @Transactional(readOnly = true)
    List<PromiseView> past() {
        return promises.lastNot(PromiseState.OPEN).stream().map(Promise::view).toList();
    }

    /** One promise as it stands; empty where it is no longer owed. */
    @Transactional(readOnly = true)
    Optional<PlantPromises.Judged> judged(UUID promise) {
        Ledger ledger = new Ledger();
        return ledger.owed(promise).map(ledger::judge);
    }

    @Override
    @Transactional(readOnly = true)
    public List<Owed.Line> uncovered() {
        if (promises.findByState(PromiseState.OPEN).isEmpty()) {
            return List.of();
        }
        Ledger ledger = new Ledger();
        List<StockPlantView> live = stock.live();
        return ledger.open.values().stream()
                .flatMap(List::stream)
                .filter(p -> ledger.uncovered(p) > 0)
                .sorted(PromiseView.IN_LINE)
                .map(p -> new Owed.Line(
                        p.who(), p.plant(), fullest(live, p.plantId()), ledger.uncovered(p), p.due(), (int)
                                Math.round(100 * p.wanted().confidence())))
                .toList();
    }

    private static UUID fullest(List<StockPlantView> live, UUID plant) {
        return live.stream()
                .filter(s -> s.plant().id().equals(plant))
                .max(Comparator.comparingInt(s -> s.piecesNow() == null ? 0 : s.piecesNow()))
                .map(StockPlantView::id)
                .orElse(null);
    }

    /** The first in line for a plant that draws on less than is owed, with how many it lacks. */
    @Transactional(readOnly = true)
    Optional<String> nextInLine(UUID plant) {
        Ledger ledger = new Ledger();
        return ledger.open.getOrDefault(plant, List.of()).stream()
                .filter(p -> ledger.uncovered(p) > 0)
                .findFirst()
                .map(p -> "%s, %d".formatted(p.who(), ledger.uncovered(p)));
    }

    /**
     * What a promise could draw on beyond what is promised already: as many as come by its day every second time, the first
     * ready first.
     */
    List<Offer> offers(PromiseView promise) {
        Ledger ledger = new Ledger();
        return ledger.pools(promise.plantId()).stream()
                .map(p -> new Offer(p, p.by(day(promise)).alone().surely(EVEN) - p.taken()))
                .filter(o -> o.plants() > 0)
                .toList();
    }

    /**
     * How many plants short of its chance a promise is, by its own shares alone: owed, less what comes of them with the chance
     * that was asked. What is over today may be promised to others tomorrow, and is not reckoned with.
     */
    int shortBy(UUID promise) {
        Ledger ledger = new Ledger();
        return ledger.owed(promise)
                .map(p -> {
                    Supply own = ledger.shares(p);
                    return own.atLeast(p.owed()) >= p.wanted().confidence()
                            ? 0
                            : Math.max(1, p.owed() - own.surely(p.wanted().confidence()));
                })
                .orElse(0);
    }

    /** A batch or plan, and how many more a promise could draw on it. */
    record Offer(Pool pool, int plants) {}

    private LocalDate day(PromiseView promise) {
        return promise.due() == null ? today.date().plusDays(FAR_AHEAD) : promise.due();
    }

    /** One reading of all that is owed and all that is there. */
    private final class Ledger {

        private final Map<UUID, List<PromiseView>> open;
        private final Map<UUID, List<Pool>> pools = new HashMap<>();
        private final Map<UUID, Pool> poolOf = new HashMap<>();
        private final Map<UUID, List<Claim>> claimsOf;
        private final Map<UUID, Set<String>> proven = new HashMap<>();

        Ledger() {
            Map<UUID, PromiseView> all = promises.findAll().stream()
                    .map(Promise::view)
                    .collect(Collectors.toMap(PromiseView::id, Function.identity()));
            open = all.values().stream()
                    .filter(PromiseView::isOpen)
                    .sorted(PromiseView.IN_LINE)
                    .collect(Collectors.groupingBy(PromiseView::plantId, LinkedHashMap::new, Collectors.toList()));
            Map<UUID, StockPlantView> parents =
                    stock.all().stream().collect(Collectors.toMap(StockPlantView::id, Function.identity()));
            Map<String, UUID> plantIds = stock.plants().stream().collect(Collectors.toMap(p -> p.name(), p -> p.id()));
            Set<String> owed = all.values().stream()
                    .filter(PromiseView::isOpen)
                    .map(PromiseView::plant)
                    .collect(Collectors.toSet());
            for (ToCome.Source s : toCome.sources(owed)) {
                if (s.batch().protocol() != null) {
                    proven.computeIfAbsent(plantIds.get(s.batch().plant()), p -> new HashSet<>())
                            .add(s.batch().protocol());
                }
                add(
                        plantIds.get(s.batch().plant()),
                        new Pool(
                                s.batch().origin().planId(),
                                s.batch().id(),
                                s.batch().code(),
                                "/batches/" + s.batch().code(),
                                s::by,
                                s::granted));
            }
            for (PlanView plan : plans.waiting()) {
                StockPlantView parent = parents.get(plan.stockPlantId());
                add(
                        parent.plant().id(),
                        new Pool(
                                plan.id(),
                                null,
                                Messages.text(
                                        "PromiseBook.plan",
                                        "on",
                                        says.day(plan.start().on())),
                                "/plan/" + plan.id() + "/stick",
                                day -> plans.toCome(plan, parent, day),
                                Optional::empty));
            }
            List<Claim> found = claims.findAll();
            claimsOf = found.stream().collect(Collectors.groupingBy(Claim::promiseId));
            // What was given is gone first, whatever became of the promise; then those that are owed, in line.
            found.stream()
                    .filter(c -> c.plants() > 0)
                    .sorted((a, b) -> {
                        PromiseView one = all.get(a.promiseId());
                        PromiseView other = all.get(b.promiseId());
                        return one.isOpen() == other.isOpen()
                                ? PromiseView.IN_LINE.compare(one, other)
                                : one.isOpen() ? 1 : -1;
                    })
                    .forEach(c -> pool(c).ifPresent(p -> p.add(c)));
        }

        private void add(UUID plant, Pool pool) {
            pools.computeIfAbsent(plant, p -> new ArrayList<>()).add(pool);
            if (pool.isStuck()) {
                poolOf.put(pool.batchId(), pool);
            }
            if (pool.planId() != null) {
                poolOf.put(pool.planId(), pool);
            }
        }

        private Optional<Pool> pool(Claim c) {
            return Optional.ofNullable(poolOf.get(c.batchId() == null ? c.planId() : c.batchId()));
        }

        List<Pool> pools(UUID plant) {
            return pools.getOrDefault(plant, List.of());
        }

        List<PlantPromises> lines() {
            return open.values().stream().map(this::line).toList();
        }

        Optional<PromiseView> owed(UUID promise) {
            return open.values().stream()
                    .flatMap(List::stream)
                    .filter(p -> p.id().equals(promise))
                    .findFirst();
        }

        /** Plants owed that draw on nothing that is still there. */
        int uncovered(PromiseView promise) {
            int covered = claimsOf.getOrDefault(promise.id(), List.of()).stream()
                    .filter(c -> pool(c).isPresent())
                    .mapToInt(c -> c.plants() - c.given())
                    .sum();
            return Math.max(0, promise.owed() - covered);
        }

        /** Promises alone, without what else there is to serve them. */
        Stream<PlantPromises.Judged> judged() {
            return open.values().stream().flatMap(List::stream).map(this::judge);
        }

        private PlantPromises line(List<PromiseView> inLine) {
            UUID plant = inLine.get(0).plantId();
            LocalDate far = today.date().plusDays(FAR_AHEAD);
            return new PlantPromises(
                    plant,
                    inLine.get(0).plant(),
                    inLine.stream().map(this::judge).toList(),
                    pools(plant).stream()
                            .map(p -> new PlantPromises.Source(
                                    p.id(),
                                    p.isStuck(),
                                    p.words(),
                                    p.address(),
                                    p.taken(),
                                    p.by(far).alone().beyond(p.taken()).surely(SURE)))
                            .toList());
        }

        /** What comes of a promise's own shares alone. */
        Supply shares(PromiseView promise) {
            LocalDate day = day(promise);
            return Prospect.together(claimsOf.getOrDefault(promise.id(), List.of()).stream()
                    .filter(c -> c.plants() > c.given())
                    .flatMap(c -> pool(c).map(p -> p.share(c, day, false)).stream())
                    .toList());
        }

        /** As it stands and, where it is short, with what would make it up. */
        private PlantPromises.Judged judge(PromiseView promise) {
            LocalDate day = day(promise);
            List<Prospect> shares = new ArrayList<>();
            List<PlantPromises.Drawn> drawn = new ArrayList<>();
            List<Statement> steps = new ArrayList<>();
            for (Claim c : claimsOf.getOrDefault(promise.id(), List.of())) {
                Optional<Pool> pool = pool(c);
                if (pool.isEmpty() || c.plants() == 0) {
                    continue;
                }
                Prospect prospect = pool.get().share(c, day, true);
                shares.add(prospect);
                Supply share = prospect.alone();
                drawn.add(new PlantPromises.Drawn(
                        c.getId(),
                        pool.get().words(),
                        pool.get().address(),
                        c.plants(),
                        c.given(),
                        pool.get().granted(),
                        pool.get().isStuck()));
                steps.add(Statement.of(
                        Step.FROM,
                        "source",
                        pool.get().words(),
                        "others",
                        pool.get().taken() - c.plants(),
                        "mean",
                        share.mean(),
                        "surely",
                        share.surely(SURE)));
            }
            Supply supply = Prospect.together(shares);
            double chance = supply.atLeast(promise.owed());
            steps.add(
                    promise.due() == null
                            ? Statement.of(Step.TOGETHER, "owed", promise.owed(), "chance", chance)
                            : Statement.of(
                                    Step.TOGETHER_BY, "owed", promise.owed(), "due", promise.due(), "chance", chance));
            return new PlantPromises.Judged(
                    promise,
                    drawn,
                    chance,
                    supply.surely(SURE),
                    supply.surely(1 - SURE),
                    uncovered(promise),
                    promise.isShortAt(chance) && promise.due().isAfter(today.date())
                            ? topUps.advise(new TopUps.Shortfall(
                                    promise.plantId(),
                                    shares,
                                    promise.owed(),
                                    promise.due(),
                                    promise.wanted().confidence(),
                                    proven.getOrDefault(promise.plantId(), Set.of())))
                            : Optional.empty(),
                    new Working(
                            Statement.of(
                                    Step.WILL_IT_BE_MET,
                                    "who",
                                    promise.who(),
                                    "owed",
                                    promise.owed(),
                                    "chance",
                                    chance),
                            steps));
        }
    }
}
