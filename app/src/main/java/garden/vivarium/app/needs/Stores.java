package garden.vivarium.app.needs;

import garden.vivarium.app.plan.Costs;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.plan.WayRow;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Materials;
import garden.vivarium.core.measure.Mix;
import garden.vivarium.core.plan.TraySpace;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What committed plans need, against what is in the shed: the rest is a shopping list in whole packs. */
@Service
public class Stores implements Costs {

    private static final double LARGEST_AMOUNT = 1_000_000;
    private static final double MANY_POTS = 0.1;
    private static final Pattern CAN =
            Pattern.compile("(\\d{1,3}(?:[.,]\\d)?) ?(?:L\\b|litres?)", Pattern.CASE_INSENSITIVE);

    private final ShedItemRepository shed;
    private final Plans plans;
    private final Stock stock;

    Stores(ShedItemRepository shed, Plans plans, Stock stock) {
        this.shed = shed;
        this.plans = plans;
        this.stock = stock;
    }

    /**
     * One thing needed or kept.
     *
     * @param name what
     * @param unit its sign, or the empty text
     * @param need how much the plans need
     * @param there how much is in the shed
     * @param pack what a pack holds, or null
     * @param price what a pack costs, or null
     * @param recipe how a mix is made here, or null
     * @param packs whole packs to buy; null where what a pack holds is not said
     */
    record Row(
            String name,
            String unit,
            double need,
            double there,
            Double pack,
            Double price,
            String recipe,
            Integer packs) {

        /** How much is missing. */
        public double missing() {
            return Math.max(0, need - there);
        }

        /** Whether packs are to be bought, and how many is known. */
        public boolean isToBuy() {
            return packs != null && packs > 0;
        }

        /** Whether nobody said what a pack holds of what is missing. */
        public boolean isPackUnknown() {
            return packs == null && missing() > 0;
        }

        /** Whether it is counted, not measured. */
        public boolean isCounted() {
            return unit.isEmpty();
        }

        /** What the packs cost, or null. */
        public Double cost() {
            return packs == null || price == null ? null : packs * price;
        }
    }

    /** What all plans not yet stuck need, and what else is kept; the missing first. */
    @Transactional(readOnly = true)
    List<Row> rows() {
        Map<String, ShedItem> kept = kept();
        List<Materials.Need> needs = new ArrayList<>();
        Map<UUID, StockPlantView> parents =
                stock.all().stream().collect(Collectors.toMap(StockPlantView::id, Function.identity()));
        for (PlanView plan : plans.waiting()) {
            int pots = plans.toCome(
                            plan, parents.get(plan.stockPlantId()), plan.aim().due())
                    .alone()
                    .surely(MANY_POTS);
            needs.addAll(needs(plans.protocol(plan), plan.start().take(), pots));
        }
        List<Row> rows = new ArrayList<>();
        List<Materials.Need> all = Materials.together(byRecipe(needs, kept));
        for (Materials.Need n : all) {
            rows.add(row(n.item(), n.unit().sign(), n.amount(), kept.get(n.item())));
        }
        kept.values().stream()
                .filter(i -> all.stream().noneMatch(n -> n.item().equals(i.name())))
                .forEach(i -> rows.add(row(i.name(), "", 0, i)));
        rows.sort(Comparator.comparing((Row r) -> r.missing() <= 0).thenComparing(Row::name));
        return rows;
    }

    private static Row row(String name, String unit, double need, ShedItem kept) {
        return kept == null
                ? new Row(name, unit, need, 0, null, null, null, null)
                : new Row(
                        name,
                        unit,
                        need,
                        kept.amount(),
                        kept.pack(),
                        kept.price(),
                        kept.recipe(),
                        kept.pack() == null ? null : Materials.packs(need, kept.amount(), kept.pack()));
    }

    private static List<Materials.Need> needs(Protocol p, int pieces, int pots) {
        return Materials.of(p, pieces, TraySpace.traysFor(pieces), pots);
    }

    /** A mix that is made here is needed as its parts. */
    private static List<Materials.Need> byRecipe(List<Materials.Need> needs, Map<String, ShedItem> kept) {
        List<Materials.Need> parts = new ArrayList<>();
        for (Materials.Need n : needs) {
            String recipe = kept.containsKey(n.item()) ? kept.get(n.item()).recipe() : null;
            if (recipe == null) {
                parts.add(n);
            } else {
                Mix.read(recipe)
                        .litres(n.amount())
                        .forEach((what, litres) -> parts.add(new Materials.Need(what, litres, n.unit())));
            }
        }
        return parts;
    }

    @Override
    @Transactional(readOnly = true)
    public Map<String, Double> costs(List<WayRow> rows) {
        Map<String, ShedItem> kept = kept();
        Map<String, Double> costs = new HashMap<>();
        rows.forEach(r -> cost(r, kept).ifPresent(c -> costs.put(r.protocol().key(), c)));
        return costs;
    }

    private static Optional<Double> cost(WayRow row, Map<String, ShedItem> kept) {
        if (row.plan().take().isEmpty()) {
            return Optional.empty();
        }
        double cost = 0;
        int pots = row.youngPlants().map(y -> y.middle()).orElse(0);
        for (Materials.Need n :
                byRecipe(needs(row.protocol(), row.plan().take().get().pieces(), pots), kept)) {
            ShedItem item = kept.get(n.item());
            if (item == null || item.pack() == null || item.price() == null) {
                return Optional.empty();
            }
            cost += n.amount() / item.pack() * item.price();
        }
        return Optional.of(cost);
    }

    /**
     * Writes down what is in the shed.
     *
     * @param recipe how a mix is made, as "2 compost, 1 perlite"; blank for what is bought as it is
     * @throws InvalidField naming the field, if something cannot be
     */
    @Transactional
    public String keep(String name, Double there, Double pack, Double price, String recipe) {
        if (name == null || name.isBlank() || name.strip().length() > 120) {
            throw new InvalidField("name", Messages.text("Stores.say.what.at.most"));
        }
        double amount = there == null ? 0 : there;
        if (!(amount >= 0) || amount > LARGEST_AMOUNT) {
            throw new InvalidField("there", Messages.text("Stores.give.how.much.more"));
        }
        if (pack != null && (!(pack > 0) || pack > LARGEST_AMOUNT)) {
            throw new InvalidField("pack", Messages.text("Stores.pack.holds.more.than"));
        }
        if (price != null && (!(price >= 0) || price > LARGEST_AMOUNT)) {
            throw new InvalidField("price", Messages.text("Stores.pack.costs.more.leave"));
        }
        String made = recipe == null || recipe.isBlank() ? null : recipe.strip();
        if (made != null) {
            if (made.length() > 300) {
                throw new InvalidField("recipe", Messages.text("Stores.shorten.recipe.characters"));
            }
            try {
                if (Mix.read(made).parts().containsKey(name.strip().toLowerCase(Locale.ROOT))) {
                    throw new InvalidField("recipe", Messages.text("Stores.mix.cannot.made.itself"));
                }
            } catch (IllegalArgumentException e) {
                throw new InvalidField("recipe", e.getMessage());
            }
        }
        ShedItem item = shed.findByName(name.strip()).orElseGet(() -> shed.save(new ShedItem(name.strip())));
        item.keep(amount, pack, price, made);
        return Messages.text("Stores.written.down", "name", name.strip());
    }

    /**
     * Something in the shed.
     *
     * @param there how much
     * @param pack what a pack holds, or null
     * @param price what a pack costs, or null
     */
    public record AtHand(double there, Double pack, Double price) {}

    /** What is in the shed under a name, whichever way it is written. */
    @Transactional(readOnly = true)
    public Optional<AtHand> atHand(String name) {
        return shed.findAll().stream()
                .filter(i -> i.name().equalsIgnoreCase(name))
                .findFirst()
                .map(i -> new AtHand(i.amount(), i.pack(), i.price()));
    }

    /** Litres of each watering can in the shed: whatever is kept there as a can of so many litres. */
    @Transactional(readOnly = true)
    public List<Double> cans() {
        return names().stream()
                .filter(n -> n.toLowerCase(Locale.ROOT).matches(".*\\bcans?\\b.*"))
                .map(CAN::matcher)
                .filter(Matcher::find)
                .map(m -> Double.valueOf(m.group(1).replace(',', '.')))
                .filter(litres -> litres > 0)
                .toList();
    }

    /** Names of all of which there is some. */
    @Transactional(readOnly = true)
    public Set<String> names() {
        return shed.findAll().stream()
                .filter(i -> i.amount() > 0)
                .map(ShedItem::name)
                .collect(Collectors.toSet());
    }

    private Map<String, ShedItem> kept() {
        return shed.findAll().stream().collect(Collectors.toMap(ShedItem::name, Function.identity()));
    }
}
