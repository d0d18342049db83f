package garden.vivarium.app.sums;

import garden.vivarium.app.needs.Stores;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Named;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Words;
import garden.vivarium.core.UnknownWord;
import garden.vivarium.core.measure.Air;
import garden.vivarium.core.measure.Container;
import garden.vivarium.core.measure.Dilution;
import garden.vivarium.core.measure.Feed;
import garden.vivarium.core.measure.Ingredient;
import garden.vivarium.core.measure.Materials;
import garden.vivarium.core.measure.Mix;
import garden.vivarium.core.measure.MixSum;
import garden.vivarium.core.measure.Pot;
import garden.vivarium.core.measure.Temperature;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.measure.Volume;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** Does the sums from what was typed, and says them in a line. */
@Service
class Sums {

    private static final double MOST_ML = 1e8;

    private final Stores stores;
    private final Says says;
    private final Words words;

    Sums(Stores stores, Says says, Words words) {
        this.stores = stores;
        this.says = says;
        this.words = words;
    }

    /** What a pot is. */
    enum Shape implements Named {
        ROUND,
        SQUARE,
        CELLS,
        BASKET,
        LITRES;

        /** Whether it needs more than a width. */
        boolean isOfMore() {
            return this != ROUND && this != SQUARE;
        }
    }

    /** Of what the label says. */
    enum Strength implements Named {
        FULL(1),
        HALF(0.5),
        QUARTER(0.25);

        private final double share;

        Strength(double share) {
            this.share = share;
        }
    }

    /** How a dilution is said. */
    enum By implements Named {
        STRENGTH,
        PARTS,
        RATE;
    }

    /**
     * What goes into a mix.
     *
     * @param lines each ingredient with what is at hand and what to buy
     * @param without what can be done without the one that is missing
     * @param dressing litres of top dressing; 0 for none
     * @param dusty whether any of it raises dust
     * @param line all of it in a line
     */
    record MixAnswer(
            Mix mix, MixSum sum, List<Line> lines, List<Instead> without, double dressing, boolean dusty, String line) {

        /** Top dressing. */
        public Volume top() {
            return Volume.ofLitres(dressing);
        }
    }

    /**
     * One ingredient.
     *
     * @param there litres at hand; null where nobody said
     * @param bags whole bags to buy; null where nobody said what a bag holds
     * @param cost of those bags, or null
     */
    record Line(String what, double litres, Double there, Double bag, Integer bags, Double cost) {

        /** How much of it. */
        public Volume volume() {
            return Volume.ofLitres(litres);
        }
    }

    /** What can be done without an ingredient, and the mix then. */
    record Instead(Ingredient.Without what, String mix) {}

    /**
     * Reckons a mix.
     *
     * @throws InvalidField naming the field, if something cannot be
     */
    MixAnswer mix(Typed typed) {
        Mix mix = recipe("mix", typed.text("mix", ""));
        Optional<Container> filled = container(typed);
        int count = (int) typed.number("count", 1, 1, 100_000);
        double settling = typed.number("settling", Pot.SETTLING, 1, 2);
        MixSum sum = tried(
                "count",
                () -> filled.map(c -> MixSum.of(
                                mix,
                                c,
                                count,
                                typed.number("free", c instanceof Container.Cells ? 0 : 1, 0, 30),
                                typed.number("ball", 0, 0, 100),
                                settling))
                        .orElseGet(() -> MixSum.of(mix, typed.number("litres", 10, 0.01, 100_000))));
        double dress = typed.number("dress", 0, 0, 20);
        double dressing = filled.map(c -> count * c.dressing(dress)).orElse(0.0);
        List<Line> lines = sum.each().entrySet().stream()
                .map(e -> line(e.getKey(), e.getValue()))
                .toList();
        return new MixAnswer(
                mix,
                sum,
                lines,
                without(mix, typed.text("missing", "")),
                dressing,
                Ingredient.isDusty(mix.parts().keySet()),
                words.say("Sums.mix", "volume", Volume.ofLitres(sum.litres()).roughly(), "mix", mix.words()));
    }

    private static Mix recipe(String field, String words) {
        if (words.isEmpty()) {
            throw new InvalidField(field, Messages.text("Sums.no.mix"));
        }
        return tried(field, () -> Mix.read(words.matches("\\d.*") ? words : "1 " + words));
    }

    private static Optional<Container> container(Typed typed) {
        Shape shape = typed.one("shape", Shape.class, Shape.ROUND);
        double across = typed.number("across", 9, 1, 200);
        return switch (shape) {
            case ROUND -> Optional.of(Pot.across(across));
            case SQUARE -> Optional.of(Container.Square.across(across));
            case CELLS -> {
                int cells = (int) typed.number("cells", 72, 1, 1000);
                yield Optional.of(Container.Cells.of(cells, typed.number("cell", 30, 1, 5000)));
            }
            case BASKET -> Optional.of(new Container.Basket(across, typed.number("deep", across / 2, 1, 100)));
            case LITRES -> Optional.empty();
        };
    }

    private Line line(String what, double litres) {
        Optional<Stores.AtHand> kept = stores.atHand(what);
        Integer bags = kept.filter(k -> k.pack() != null)
                .map(k -> Materials.packs(litres, k.there(), k.pack()))
                .orElse(null);
        return new Line(
                what,
                litres,
                kept.map(Stores.AtHand::there).orElse(null),
                kept.map(Stores.AtHand::pack).orElse(null),
                bags,
                bags == null || kept.get().price() == null
                        ? null
                        : bags * kept.get().price());
    }

    private List<Instead> without(Mix mix, String missing) {
        if (missing.isEmpty()) {
            return List.of();
        }
        return tried("missing", () -> Ingredient.without(mix, missing.toLowerCase(Locale.ROOT), stores.names()))
                .stream()
                .map(w -> new Instead(w, w.instead().map(Mix::words).orElse("")))
                .toList();
    }

    /**
     * A dilution.
     *
     * @param stock how much of the concentrate, in words
     * @param water how much water, in words
     * @param spoons the concentrate in spoons or drops, in words; empty where that is no use
     */
    record DilutionAnswer(Dilution made, String stock, String water, String spoons, String line) {}

    /**
     * Reckons a dilution.
     *
     * @throws InvalidField naming the field, if something cannot be
     */
    DilutionAnswer dilution(Typed typed) {
        Unit unit = typed.one("unit", Unit.class, Unit.LITRE);
        double total = unit.of(typed.number("total", 1, 1e-6, 1e6));
        if (unit.kind() != Unit.Kind.VOLUME || total > MOST_ML) {
            throw new InvalidField("total", Messages.text("Sums.total"));
        }
        double weaker = share(typed);
        Dilution made = switch (typed.one("by", By.class, By.PARTS)) {
            case STRENGTH -> {
                double from = typed.one("fromUnit", Unit.class, Unit.PERCENT).of(typed.number("from", 0, 1e-9, 1e7));
                double to = typed.one("toUnit", Unit.class, Unit.PERCENT).of(typed.number("to", 0, 1e-9, 1e7));
                yield tried("from", () -> Dilution.of(from, weaker * to, total));
            }
            case PARTS -> {
                double of = typed.number("of", 1, 1e-6, 1e6);
                double to = typed.number("parts", 6, 0, 1e6);
                yield tried("parts", () -> Dilution.parts(of, (of + to) / weaker - of, total));
            }
            case RATE -> tried("rate", () -> Dilution.rate(weaker * typed.number("rate", 5, 1e-6, 1000), total));
        };
        return new DilutionAnswer(
                made,
                amount(made.stockMl()),
                amount(made.waterMl()),
                spoons(made.stockMl()),
                Messages.text(
                        "Sums.dilution",
                        "stock",
                        amount(made.stockMl()),
                        "water",
                        amount(made.waterMl()),
                        "what",
                        typed.text("what", "concentrate")));
    }

    /** Whether something was asked that stands in the fold of a mix: cells, baskets, a root ball, a dressing. */
    static boolean isOfMore(Typed typed) {
        return typed.isAsked("cells")
                && (typed.one("shape", Shape.class, Shape.ROUND).isOfMore()
                        || !typed.text("ball", "0").equals("0")
                        || !typed.text("dress", "0").equals("0"));
    }

    /** Full, half or quarter strength. */
    private static double share(Typed typed) {
        return typed.one("strength", Strength.class, Strength.FULL).share;
    }

    /** As a jug or a syringe has it. */
    String amount(double ml) {
        return ml >= 1000
                ? Messages.text(
                        "quantity.told",
                        "n",
                        says.amount(Math.round(ml / 10) / 100.0),
                        "unit",
                        Messages.text("Unit." + Unit.LITRE))
                : Messages.text(
                        "Sums.ml",
                        "amount",
                        says.amount(ml >= 10 ? Math.round(ml * 10) / 10.0 : Math.round(ml * 100) / 100.0));
    }

    private String spoons(double ml) {
        if (ml < 2) {
            return Messages.text("Sums.drops", "drops", Math.round(Unit.DROP.in(ml)));
        }
        return ml <= 60 ? Messages.text("Sums.spoons", "spoons", says.rough(Unit.TEASPOON.in(ml))) : "";
    }

    /** A feed. */
    record FeedAnswer(Feed feed, double ppm, String grams, String line) {}

    /**
     * Reckons a feed by its nitrogen.
     *
     * @throws InvalidField naming the field, if something cannot be
     */
    FeedAnswer feed(Typed typed) {
        double ppm = share(typed) * typed.number("ppm", 100, 1, 2000);
        Unit unit = typed.one("unit", Unit.class, Unit.LITRE);
        double litres = unit.of(typed.number("total", 10, 1e-6, 1e6)) / 1000;
        double ratio = typed.number("ratio", 1, 1, 2000);
        Feed.Product product = new Feed.Product(
                typed.number("n", 15, 0.1, 100),
                typed.number("p", 0, 0, 100),
                typed.number("k", 0, 0, 100),
                typed.number("solubility", 1, 2000),
                typed.number("conductivity", 0.01, 20));
        Feed feed = tried("total", () -> Feed.of(ppm, product, ratio, litres));
        String grams = grams(feed.grams());
        return new FeedAnswer(
                feed,
                ppm,
                grams,
                words.say(
                        "Sums.feed",
                        "grams",
                        grams,
                        "volume",
                        Volume.ofLitres(litres),
                        "ppm",
                        Math.round(ppm),
                        "ratio",
                        Math.round(ratio)));
    }

    private String grams(double grams) {
        return grams >= 1000
                ? Messages.text("Sums.kg", "amount", says.amount(Math.round(grams / 10) / 100.0))
                : Messages.text(
                        "Sums.grams",
                        "amount",
                        says.amount(grams >= 10 ? Math.round(grams * 10) / 10.0 : Math.round(grams * 100) / 100.0));
    }

    /** Air, as its warmth and humidity make it. */
    record AirAnswer(Air air, Temperature dewPoint, String deficit) {}

    /**
     * Reckons air.
     *
     * @throws InvalidField naming the field, if something cannot be
     */
    AirAnswer air(Typed typed) {
        Air air = new Air(typed.number("warmth", 20, -40, 60), typed.number("humidity", 70, 1, 100) / 100);
        return new AirAnswer(
                air, Temperature.ofCelsius(air.dewPoint()), says.amount(Math.round(air.deficit() * 100) / 100.0));
    }

    private static <T> T tried(String field, Supplier<T> sum) {
        try {
            return sum.get();
        } catch (InvalidField already) {
            throw already;
        } catch (UnknownWord e) {
            throw new InvalidField(
                    field, Messages.text(e.fault().rule().key(), e.fault().figures()));
        } catch (IllegalArgumentException e) {
            String why = e.getMessage();
            throw new InvalidField(field, Character.toUpperCase(why.charAt(0)) + why.substring(1) + ".");
        }
    }

    /** What a sum comes to, in a line, to be kept. */
    String line(String kind, Map<String, String> values) {
        Typed typed = new Typed(values);
        return switch (kind) {
            case "mix" -> mix(typed).line();
            case "dilute" -> dilution(typed).line();
            case "feed" -> feed(typed).line();
            default -> throw new InvalidField("kind", Messages.text("Typed.one.of", "typed", kind));
        };
    }

    /** All volumes that somebody may measure with. */
    static List<Unit> volumes() {
        return Unit.all(Unit.Kind.VOLUME).stream().filter(u -> !u.isRough()).toList();
    }
}
