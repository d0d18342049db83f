package garden.vivarium.app.plan;

import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.plan.Setting;
import garden.vivarium.core.plan.WayPlan;
import garden.vivarium.core.stock.MayCut;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Season;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.springframework.stereotype.Component;

/** What stands in the way of a way, and what to mind of it: each with its reason, and what could be done. */
@Component
class Obstacles {

    private static final int MOST_CUTS = 3;

    private final Stock stock;
    private final People people;
    private final Says says;
    private final Words words;
    private final Today today;

    Obstacles(Stock stock, People people, Says says, Words words, Today today) {
        this.stock = stock;
        this.people = people;
        this.says = says;
        this.words = words;
        this.today = today;
    }

    /** Why a way cannot be done as asked, and what could; empty where it can. */
    Optional<String> of(StockPlantView plant, WayPlan plan) {
        if (!plan.isBeyondReach() && !plan.isStockShort()) {
            return Optional.empty();
        }
        int most = plan.piecesAtMost();
        List<String> said = new ArrayList<>();
        said.add(
                plan.isBeyondReach()
                        ? words.say("obstacle.no.number")
                        : words.say(
                                "obstacle.bears",
                                "code",
                                plant.code(),
                                "most",
                                most,
                                "chance",
                                says.percent(plan.chance(most))));
        if (most > 0) {
            said.add(plan.earliestDue(most)
                    .map(due -> words.say("obstacle.all.by", "most", most, "due", due))
                    .orElseGet(() -> words.say("obstacle.no.later.day", "most", most)));
            int sure = plan.sureOf(most);
            if (sure > 0) {
                said.add(words.say("obstacle.sure.of", "sure", sure));
            }
            flushes(plant, plan, most).ifPresent(said::add);
            warmer(plan, most).ifPresent(said::add);
        }
        return Optional.of(String.join(" ", said));
    }

    /** How often the stock would have to be cut for the number to take, with its rests. */
    private Optional<String> flushes(StockPlantView plant, WayPlan plan, int most) {
        if (plant.isLot() || plan.take().isEmpty()) {
            return Optional.empty();
        }
        int take = plan.take().get().pieces();
        int cuts = (take + most - 1) / most;
        // More than three cuts is no plan for one season.
        return cuts < 2 || cuts > MOST_CUTS
                ? Optional.empty()
                : Optional.of(words.say(
                        "obstacle.cuts",
                        "take",
                        take,
                        "cuts",
                        cuts,
                        "rest",
                        stock.rhythm(plant.plant().group()).restDays()));
    }

    /** Where it is the season that is in the way: what a lit shelf would do. */
    private Optional<String> warmer(WayPlan plan, int most) {
        if (plan.isInSeason()) {
            return Optional.empty();
        }
        return WayPlan.of(
                        plan.outlook(),
                        plan.aim(),
                        new Setting(Climate.LIT, people.hemisphere()),
                        OptionalInt.of(most),
                        plan.start())
                .take()
                .filter(t -> t.pieces() <= most)
                .map(t -> words.say("obstacle.warmer", "take", t.pieces()));
    }

    /**
     * What to mind before committing a way, each with its reason and what would do.
     */
    List<String> warnings(StockPlantView plant, WayRow row) {
        WayPlan plan = row.plan();
        List<String> warnings = new ArrayList<>();
        if (plan.isBeyondReach()) {
            warnings.add(words.say("warning.no.number"));
        } else if (plan.isStockShort()) {
            warnings.add(isShort(plant, plan));
        }
        if (!plan.isInSeason()) {
            Season season = row.protocol().material().season();
            String better = row.better()
                    .map(b -> " "
                            + words.say(
                                    "warning.season.better",
                                    "start",
                                    b.start(),
                                    "take",
                                    b.take().pieces()))
                    .orElse("");
            warnings.add(
                    words.say("warning.season", "slower", season.slower(), "poorer", 100 * season.poorer()) + better);
        }
        row.plan().take().flatMap(t -> overTaken(plant, t.pieces())).ifPresent(warnings::add);
        plant.mayCut(plan.start(), null).forEach(f -> warnings.add(words.of(f)));
        return warnings;
    }

    /** Whether it goes on only with a word of reason, or a licence. */
    boolean needsWord(StockPlantView plant, WayRow row) {
        return plant.mayCut(row.plan().start(), null).stream().anyMatch(f -> f.weight() != MayCut.Weight.WARNING);
    }

    /** Says when more is taken at once than the plant bears well. */
    private Optional<String> overTaken(StockPlantView plant, int pieces) {
        if (plant.piecesNow() == null
                || pieces > plant.piecesNow()
                || !plant.regrowth().isHard(pieces, today.date())) {
            return Optional.empty();
        }
        PlantGroup.Rhythm rhythm = stock.rhythm(plant.plant().group());
        return Optional.of(words.say(
                "warning.overtaken",
                "pieces",
                pieces,
                "bears",
                plant.piecesNow(),
                "may",
                plant.regrowth().mayTake(today.date(), false).orElseThrow(),
                "share",
                says.percent(rhythm.share()),
                "hard",
                rhythm.hardCut()));
    }

    private String isShort(StockPlantView plant, WayPlan plan) {
        int can = plant.piecesNow();
        if (can == 0) {
            return words.say("warning.nothing.now", "code", plant.code());
        }
        int take = plan.take().orElseThrow().pieces();
        int rounds = (take + can - 1) / can;
        return words.say(
                "warning.short",
                "code",
                plant.code(),
                "can",
                can,
                "take",
                take,
                "chance",
                says.percent(plan.chance(can)),
                "rounds",
                rounds > MOST_CUTS ? 0 : rounds);
    }
}
