package garden.vivarium.app.buildup;

import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.plan.Offers;
import garden.vivarium.app.plan.Ways;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.plan.BuildUp;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.SharedDoubt;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** More wanted than the stock can give at once: generations of stock plants, flush by flush. */
@Service
class BuildUps {

    private static final int UNCOUNTED = 10;
    private static final int BEYOND = 365;
    private static final int YEARS_AHEAD = 5;

    private final Ways ways;
    private final Stock stock;
    private final Evidence evidence;
    private final Offers offers;
    private final Says says;
    private final Today today;

    BuildUps(Ways ways, Stock stock, Evidence evidence, Offers offers, Says says, Today today) {
        this.ways = ways;
        this.stock = stock;
        this.evidence = evidence;
        this.offers = offers;
        this.says = says;
        this.today = today;
    }

    /**
     * The answer.
     *
     * @param way by which it is done
     * @param known what was reckoned with
     * @param best the numbers to keep, and when it is reached
     * @param without the same with no new stock plants
     * @param drawing its picture
     */
    record Answer(Protocol way, BuildUp.Inputs known, BuildUp best, BuildUp without, Drawing drawing) {}

    /**
     * The picture: young plants so far against days.
     *
     * @param start today
     * @param due the day due
     * @param wanted how many
     * @param best with new stock plants
     * @param without without
     */
    record Drawing(LocalDate start, LocalDate due, int wanted, List<BuildUp.Point> best, List<BuildUp.Point> without) {}

    /** Ways that a plant's build-up can go by. */
    List<Protocol> ways(StockPlantView plant) {
        return offers.protocols(plant.plant());
    }

    /** How many grown stock plants of the same plant there are. */
    int mothers(StockPlantView plant) {
        return (int) Math.max(
                1,
                stock.live().stream()
                        .filter(s -> !s.isLot()
                                && s.plant().id().equals(plant.plant().id()))
                        .count());
    }

    /** What a plant may give at once: of what it bears, the share that leaves it strong. */
    int flush(StockPlantView plant) {
        return plant.regrowth().mayTake(today.date(), false).filter(n -> n > 0).orElse(UNCOUNTED);
    }

    int grow(StockPlantView plant) {
        return plant.regrowth().rhythm().regrowDays();
    }

    /**
     * Reckons it.
     *
     * @throws InvalidField naming the field, if something cannot be
     */
    @Transactional(readOnly = true)
    Answer reckon(StockPlantView plant, BuildUpForm form) {
        LocalDate day = today.date();
        if (!form.due().isAfter(day)) {
            throw new InvalidField("due", Messages.text("BuildUps.has.passed.give.later", "due", says.day(form.due())));
        }
        if (form.due().isAfter(day.plusYears(YEARS_AHEAD))) {
            throw new InvalidField(
                    "due",
                    Messages.text("BuildUps.more.than.years.ahead", "due", form.due(), "yearsAhead", YEARS_AHEAD));
        }
        List<Protocol> suiting = ways(plant);
        if (suiting.isEmpty()) {
            throw new InvalidField("way", Messages.text("BuildUps.guide.has.no.way"));
        }
        Protocol way = suiting.stream()
                .filter(p -> p.key().equals(form.way()))
                .findFirst()
                .orElseGet(() -> suiting.stream()
                        .max(Comparator.comparing((Protocol p) -> proven(p, plant))
                                .thenComparingDouble(p -> speed(p, plant)))
                        .orElseThrow());
        PlantGroup.Rhythm rhythm = ways.bears(plant, way).regrowth().rhythm();
        Outlook outlook = ways.outlook(way, plant);
        int due = (int) ChronoUnit.DAYS.between(day, form.due());
        BuildUp.Inputs known = new BuildUp.Inputs(
                new BuildUp.Inputs.Stock(
                        form.plants() == null ? mothers(plant) : form.plants(),
                        form.flush() == null
                                ? ways.mayTake(plant, way).stream()
                                        .filter(n -> n > 0)
                                        .findFirst()
                                        .orElse(UNCOUNTED)
                                : form.flush(),
                        rhythm.restDays(),
                        form.grow() == null ? grow(plant) : form.grow()),
                new BuildUp.Inputs.ByWay(
                        new SharedDoubt(
                                outlook.inSeason().strike(), outlook.inSeason().ready()),
                        outlook.stages(),
                        outlook.callusDays() + outlook.settleDays(),
                        outlook.output().mean()),
                form.wanted(),
                due + BEYOND,
                due);
        BuildUp best = BuildUp.best(known);
        BuildUp without = best.keeps().isEmpty() ? best : BuildUp.simulate(known, List.of());
        return new Answer(
                way,
                known,
                best,
                without,
                new Drawing(day, form.due(), form.wanted(), best.course(), without.course()));
    }

    /** Whether this nursery has batches of the plant by the way. */
    private boolean proven(Protocol p, StockPlantView plant) {
        return evidence.record().ways().keySet().stream()
                .anyMatch(w -> w.plant().equals(plant.plant().name())
                        && w.method().equals(p.method())
                        && w.medium().equals(p.medium()));
    }

    /** Young plants of a piece for each day that it takes: what makes a way quick to build up by. */
    private double speed(Protocol p, StockPlantView plant) {
        Outlook o = ways.outlook(p, plant);
        return o.nextBatch(o.inSeason()).mean()
                * o.output().mean()
                / (o.inSeason().ready().day(0.5) + o.callusDays() + o.settleDays());
    }
}
