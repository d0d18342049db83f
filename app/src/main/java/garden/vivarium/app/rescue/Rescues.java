package garden.vivarium.app.rescue;

import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.plan.Offers;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.plan.Ways;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.guide.Section;
import garden.vivarium.core.plan.Rescue;
import garden.vivarium.core.plan.Setting;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** One plant that must not be lost: what to cut from it, what to leave, and how to spread the pieces over ways. */
@Service
class Rescues {

    private static final double A_POINT = 0.01;
    private static final int MOST_SECTIONS = 200;
    private static final int SURE = 90;

    private final Ways ways;
    private final Plans plans;
    private final Offers offers;
    private final Protocols protocols;
    private final Guide guide;
    private final Today today;

    Rescues(Ways ways, Plans plans, Offers offers, Protocols protocols, Guide guide, Today today) {
        this.ways = ways;
        this.plans = plans;
        this.offers = offers;
        this.protocols = protocols;
        this.guide = guide;
        this.today = today;
    }

    /** What may be done, and at the same time the question that its working answers. */
    enum What implements Rule {
        TAKE_EVERYTHING,
        TAKE_HALF,
        LEAVE_IT_ALONE
    }

    /**
     * One thing that may be done.
     *
     * @param what what is done
     * @param rescue how its pieces are spread, and the chances
     * @param best whether its joint chance is the greatest
     */
    record Choice(What what, Rescue rescue, boolean best) {
        public Working working() {
            return rescue.working(Statement.of(what));
        }
    }

    /** The kinds of section that some way of the plant's group needs. */
    List<Section> sections(StockPlantView plant) {
        return offers.protocols(plant.plant()).stream()
                .map(this::section)
                .distinct()
                .sorted()
                .toList();
    }

    private Section section(Protocol p) {
        return guide.method(p.method()).orElseThrow().section();
    }

    /**
     * The choices: leave it alone, take half, take all but a stump.
     *
     * @param counts sections that it has, by kind
     * @param alone chance that it lives if left alone, in per cent
     * @param cut chance that a stump lives after everything is cut, in per cent
     * @throws InvalidField naming the field, if a number cannot be
     */
    @Transactional(readOnly = true)
    List<Choice> choices(StockPlantView plant, Map<Section, Integer> counts, int alone, int cut) {
        counts.forEach((s, n) -> {
            if (n < 0 || n > MOST_SECTIONS) {
                throw new InvalidField(
                        s.name(), Messages.text("Rescues.give", "mostSections", MOST_SECTIONS, "s", Messages.name(s)));
            }
        });
        if (alone < 0 || alone > 100) {
            throw new InvalidField("alone", "A chance lies between 0 and 100%.");
        }
        if (cut < 0 || cut > alone) {
            throw new InvalidField("cut", Messages.text("Rescues.stump.lives.no.likelier", "alone", alone));
        }
        List<Rescue.Open> open = open(plant);
        Map<Section, Integer> half = new EnumMap<>(Section.class);
        counts.forEach((s, n) -> half.put(s, (n + 1) / 2));
        List<Choice> choices = List.of(
                new Choice(What.TAKE_EVERYTHING, Rescue.best(counts, open, cut / 100.0), false),
                new Choice(What.TAKE_HALF, Rescue.best(half, open, (alone + cut) / 200.0), false),
                new Choice(What.LEAVE_IT_ALONE, Rescue.best(Map.of(), open, alone / 100.0), false));
        boolean anything = counts.values().stream().anyMatch(n -> n > 0);
        double most = choices.stream()
                .mapToDouble(c -> c.rescue().somethingLives())
                .max()
                .orElseThrow();
        // They stand from the greatest cut to none: where the chances are equal to a point, the smaller cut is as good.
        Choice best = choices.stream()
                .filter(c -> anything && c.rescue().somethingLives() >= most - A_POINT)
                .reduce((greater, smaller) -> smaller)
                .orElse(null);
        return choices.stream()
                .map(c -> new Choice(c.what(), c.rescue(), c == best))
                .toList();
    }

    private List<Rescue.Open> open(StockPlantView plant) {
        List<Rescue.Open> open = new ArrayList<>();
        Setting setting = ways.setting(plant);
        for (Protocol p : offers.protocols(plant.plant())) {
            open.add(new Rescue.Open(
                    p.key(), p.title(), section(p), ways.outlook(p, plant).readyInTheEnd(setting, today.date())));
        }
        return open;
    }

    /**
     * Commits a plan for each way of a choice, to be stuck today.
     *
     * @return how many plans were made
     */
    @Transactional
    int commit(StockPlantView plant, Rescue rescue) {
        Setting setting = ways.setting(plant);
        for (Rescue.Share share : rescue.shares()) {
            Protocol way = protocols.current(share.key()).orElseThrow();
            LocalDate settled =
                    ways.outlook(way, plant).expected(setting, today.date()).end();
            plans.commit(new Plans.Request(plant.id(), way.key(), today.date(), settled.plusDays(1))
                    .of(1, SURE)
                    .taking(share.pieces(), "rescue"));
        }
        return rescue.shares().size();
    }
}
