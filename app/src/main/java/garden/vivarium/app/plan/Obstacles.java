package garden.vivarium.app.plan;

import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.Text;
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
    private final Today today;

    Obstacles(Stock stock, People people, Says says, Today today) {
        this.stock = stock;
        this.people = people;
        this.says = says;
        this.today = today;
    }

    /** Why a way cannot be done as asked, and what could; empty where it can. */
    Optional<String> of(StockPlantView plant, WayPlan plan) {
        if (!plan.isBeyondReach() && !plan.isStockShort()) {
            return Optional.empty();
        }
        int most = plan.piecesAtMost();
        String later = most == 0
                ? ""
                : plan.earliestDue(most)
                        .map(due -> " All %d would do it by %s.".formatted(most, says.day(due)))
                        .orElse(" No later day would do with %d.".formatted(most));
        int sureOf = most == 0 ? 0 : plan.sureOf(most);
        String fewer = sureOf == 0 ? "" : " Of %d they are as sure.".formatted(sureOf);
        return Optional.of((plan.isBeyondReach()
                        ? "No number would do by then this way."
                        : "%s bears %d, and the chance with those is %s."
                                .formatted(plant.code(), most, says.percent(plan.chance(most))))
                + later
                + fewer
                + flushes(plant, plan, most)
                + warmer(plant, plan, most));
    }

    /** How often the stock would have to be cut for the number to take, with its rests. */
    private String flushes(StockPlantView plant, WayPlan plan, int most) {
        if (most == 0 || plant.isLot() || plan.take().isEmpty()) {
            return "";
        }
        int cuts = (plan.take().get().pieces() + most - 1) / most;
        // More than three cuts is no plan for one season.
        return cuts < 2 || cuts > MOST_CUTS
                ? ""
                : " %d would be %d cuts with %d days of rest between."
                        .formatted(
                                plan.take().get().pieces(),
                                cuts,
                                stock.rhythm(plant.plant().group()).restDays());
    }

    /** Where it is the season that is in the way: what a lit shelf would do. */
    private String warmer(StockPlantView plant, WayPlan plan, int most) {
        if (plan.isInSeason() || most == 0) {
            return "";
        }
        return WayPlan.of(
                        plan.outlook(),
                        plan.aim(),
                        new Setting(Climate.LIT, people.hemisphere()),
                        OptionalInt.of(most),
                        plan.start())
                .take()
                .filter(t -> t.pieces() <= most)
                .map(t -> " Warm and lit, where there is no winter, %d would do.".formatted(t.pieces()))
                .orElse("");
    }

    /**
     * What to mind before committing a way, each with its reason and what would do.
     */
    List<String> warnings(StockPlantView plant, WayRow row) {
        WayPlan plan = row.plan();
        List<String> warnings = new ArrayList<>();
        if (plan.isBeyondReach()) {
            warnings.add(
                    "No number of pieces gives that chance by the day due this way. A later day, fewer plants or a quicker way would do.");
        } else if (plan.isStockShort()) {
            int can = plant.piecesNow();
            int rounds = can == 0 ? 0 : (plan.take().orElseThrow().pieces() + can - 1) / can;
            warnings.add(
                    can == 0
                            ? "%s can give no pieces now. Let it grow, or choose another stock plant."
                                    .formatted(plant.code())
                            : "%s can give %d now, not %d: the chance with those is %s. A second stock plant%s, or fewer plants would do."
                                    .formatted(
                                            plant.code(),
                                            can,
                                            plan.take().orElseThrow().pieces(),
                                            says.percent(plan.chance(can)),
                                            rounds > MOST_CUTS ? "" : ", %d cuttings in turn".formatted(rounds)));
        }
        if (!plan.isInSeason()) {
            Season season = row.protocol().material().season();
            String better = row.better()
                    .map(b -> " Started on %s, %d would do."
                            .formatted(says.day(b.start()), b.take().pieces()))
                    .orElse("");
            warnings.add(Text.of(
                    "Out of season for this way: reckoned %.1f times slower, and %.0f in 100 where in season 100 would strike.%s",
                    season.slower(), 100 * season.poorer(), better));
        }
        row.plan().take().flatMap(t -> overTaken(plant, t.pieces())).ifPresent(warnings::add);
        plant.mayCut(plan.start(), null).forEach(f -> warnings.add(f.words()));
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
        return Optional.of("%d of %d at once is more than its kind bears well (%d, %s). It will need twice the rest.%s"
                .formatted(
                        pieces,
                        plant.piecesNow(),
                        plant.regrowth().mayTake(today.date(), false).orElseThrow(),
                        says.percent(rhythm.share()),
                        rhythm.hardCut()
                                ? " If a hard cut is meant, leave the lowest live node."
                                : " A second stock plant would spare it."));
    }
}
