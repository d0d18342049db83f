package garden.vivarium.app.plan;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.bench.Ribbon;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.technique.OwnClock;
import garden.vivarium.core.Limits;
import garden.vivarium.core.evidence.Closeness;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.Caution;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.OfferedWay;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.plan.AdvisedWay;
import garden.vivarium.core.plan.Aim;
import garden.vivarium.core.plan.DayAsked;
import garden.vivarium.core.plan.Expected;
import garden.vivarium.core.plan.Harvesting;
import garden.vivarium.core.plan.Hedge;
import garden.vivarium.core.plan.InTurn;
import garden.vivarium.core.plan.Making;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.PlannedPieces;
import garden.vivarium.core.plan.Setting;
import garden.vivarium.core.plan.WayPlan;
import garden.vivarium.core.stock.Regrowth;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What could be done: the ways towards an aim compared, and what an afternoon's pieces would make. */
@Service
public class Ways {

    private static final int MOST_KEPT = 500;
    private static final int YEARS_AHEAD = 5;
    /** What was begun longer ago is told as a batch that stands already. */
    private static final int DAYS_BACK = 400;
    /** Batches of one way started closer together stand and fall together. */
    private static final int LEAST_APART = 3;

    private final Evidence evidence;
    private final BatchBook book;
    private final Obstacles obstacles;
    private final Offers offers;
    private final Guide guide;
    private final UsualHere usualHere;
    private final OwnClock clock;
    private final People people;
    private final Says says;
    private final Today today;
    /** The same question is asked again where the order is changed, and where a plan is committed. */
    private final Cache<Asked, WayPlan> plans =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    Ways(
            Evidence evidence,
            BatchBook book,
            Obstacles obstacles,
            Offers offers,
            Guide guide,
            UsualHere usualHere,
            OwnClock clock,
            People people,
            Says says,
            Today today) {
        this.evidence = evidence;
        this.book = book;
        this.obstacles = obstacles;
        this.offers = offers;
        this.guide = guide;
        this.usualHere = usualHere;
        this.clock = clock;
        this.people = people;
        this.says = says;
        this.today = today;
    }

    /**
     * Every way that suits the plant, the feasible first, then in the order asked for.
     *
     * @throws InvalidField if the day due or the day to start cannot be
     */
    @Transactional(readOnly = true)
    List<WayRow> ways(StockPlantView plant, PlanForm form, Order order) {
        AimedPlans asked = asked(plant, form);
        Map<String, BatchBook.Worked> worked = book.worked();
        List<WayRow> sorted = order.sorted(offers.of(plant.plant()).stream()
                .map(o -> row(o, asked.plan(o.protocol()), plant, asked.aim(), worked))
                .toList());
        List<WayRow> rows =
                order == Order.ADVICE ? usualHere.first(plant.plant().name(), sorted) : sorted;
        String wanted = form.way() != null
                        && rows.stream().anyMatch(r -> r.protocol().key().equals(form.way()))
                ? form.way()
                : rows.isEmpty() ? null : rows.get(0).protocol().key();
        return rows.stream()
                .map(r -> r.asChosen(r.protocol().key().equals(wanted)))
                .toList();
    }

    /** What so many pieces of a plant, taken today, would make by each way: the most young plants first. */
    @Transactional(readOnly = true)
    List<MakingRow> makings(StockPlantView plant, int pieces) {
        LocalDate day = today.date();
        Setting setting = setting(plant);
        Optional<OwnClock.Pace> pace = pace(plant);
        Map<Protocol, Making> made = new LinkedHashMap<>();
        for (Protocol p : offers.protocols(plant.plant())) {
            made.put(p, Making.of(outlook(p, plant, pace), setting, day, pieces));
        }
        LocalDate until = made.values().stream()
                .map(m -> m.expected().end())
                .max(Comparator.naturalOrder())
                .orElse(day);
        return made.entrySet().stream()
                .sorted(Comparator.comparing((Map.Entry<Protocol, Making> e) ->
                                -e.getValue().youngPlants().middle())
                        .thenComparing(e -> e.getValue().expected().ready().to()))
                .map(e -> new MakingRow(
                        e.getKey(),
                        e.getValue(),
                        ribbon(e.getKey(), e.getValue().expected(), null, until),
                        Math.round(e.getKey().figures().minutesPerTen() * pieces / 10f)))
                .toList();
    }

    private Ribbon ribbon(Protocol protocol, Expected expected, LocalDate due, LocalDate until) {
        return Ribbon.ofPlan(
                expected,
                today.date(),
                due,
                until,
                guide.method(protocol.method()).orElseThrow(),
                protocol.firstSign().map(Protocol.Test::sign),
                protocol.ready().sign(),
                Messages.text(
                        "Ways.ribbon.ready.expected",
                        "title",
                        protocol.title(),
                        "from",
                        says.day(expected.ready().from()),
                        "to",
                        says.day(expected.ready().to()),
                        "then",
                        due == null ? "" : ", due " + says.day(due)));
    }

    /** The way that is asked for or, where none is, the first of those that suit the plant. */
    @Transactional(readOnly = true)
    public Optional<WayRow> way(StockPlantView plant, PlanForm form) {
        AimedPlans asked = asked(plant, form);
        Map<String, BatchBook.Worked> worked = book.worked();
        return offers.of(plant.plant()).stream()
                .filter(o -> o.protocol().key().equals(form.way()))
                .findFirst()
                .map(o -> row(o, asked.plan(o.protocol()), plant, asked.aim(), worked))
                .or(() -> ways(plant, form, Order.ADVICE).stream().findFirst());
    }

    /**
     * The aim split over the way asked for and another, or over two days of one way; empty where none would do.
     *
     * @throws InvalidField if the second is the first again, or starts too late
     */
    @Transactional(readOnly = true)
    Optional<Split> split(StockPlantView plant, PlanForm form) {
        LocalDate start = form.start() == null ? today.date() : form.start();
        LocalDate second = start.plusDays(form.laterOrNone());
        if (form.with().equals(form.way()) && form.laterOrNone() < LEAST_APART) {
            throw new InvalidField("with", Messages.text("Ways.one.way.one.day", "leastApart", LEAST_APART));
        }
        if (!second.isBefore(form.due())) {
            throw new InvalidField("later", Messages.text("Ways.not.before.day.due", "second", says.day(second)));
        }
        WayRow one = way(plant, form).orElseThrow();
        PlanForm then = form.startingWith(form.with(), second);
        WayRow other = way(plant, then)
                .filter(r -> r.protocol().key().equals(form.with()))
                .orElseThrow(() -> new InvalidField("with", Messages.text("Ways.no.such.way.choose")));
        int most = borne(plant, one.protocol()).orElse(Limits.MOST_PIECES);
        return Hedge.best(
                        planned(one.protocol(), plant, start, form.due(), form.perPotOrOne(), form.untilOrSettled()),
                        planned(other.protocol(), plant, second, form.due(), form.perPotOrOne(), form.untilOrSettled()),
                        form.wanted(),
                        form.sure() / 100.0,
                        most)
                .map(h -> new Split(one, other, h));
    }

    /** Pieces of a plant by a protocol, to be put together with others of their way. */
    public PlannedPieces planned(
            Protocol protocol, StockPlantView plant, LocalDate start, LocalDate due, int perPot, DayAsked until) {
        return planned(protocol, outlook(protocol, plant).until(until), plant, start, due, perPot);
    }

    /** The same where what is to be expected is reckoned already. */
    PlannedPieces planned(
            Protocol protocol, Outlook outlook, StockPlantView plant, LocalDate start, LocalDate due, int perPot) {
        Way way = Evidence.way(protocol, plant.plant().grown());
        return outlook.planned(way, season -> evidence.beforeRunning(way, season), setting(plant), start, due, perPot);
    }

    /** An aim, and the plan of a way towards it. */
    private record AimedPlans(Aim aim, Function<Protocol, WayPlan> by) {

        WayPlan plan(Protocol protocol) {
            return by.apply(protocol);
        }
    }

    private AimedPlans asked(StockPlantView plant, PlanForm form) {
        LocalDate start = form.start() == null ? today.date() : form.start();
        Aim aim = aim(form, start);
        Setting setting = setting(plant);
        Optional<OwnClock.Pace> pace = pace(plant);
        return new AimedPlans(
                aim,
                p -> plans.get(
                        new Asked(
                                outlook(p, plant, pace).until(form.untilOrSettled()),
                                aim,
                                setting,
                                harvesting(plant, p, form.have()),
                                start),
                        asked -> asked.plan()));
    }

    /** All that a plan follows from. */
    private record Asked(Outlook outlook, Aim aim, Setting setting, Harvesting stock, LocalDate start) {

        WayPlan plan() {
            return WayPlan.of(outlook, aim, setting, stock, start);
        }
    }

    /** What a stock plant bears for a way. */
    public StockPlantView.Bears bears(StockPlantView plant, Protocol protocol) {
        return plant.bears(guide.sortOf(protocol.method()));
    }

    /** How many pieces of a way a stock plant bears; empty where nobody has counted what the way draws on. */
    public OptionalInt borne(StockPlantView plant, Protocol protocol) {
        StockPlantView.Bears bears = bears(plant, protocol);
        return bears.isCounted()
                ? OptionalInt.of(bears.pieces() / guide.each(plant.plant().grown(), protocol.method()))
                : OptionalInt.empty();
    }

    /** What it can give of a way, with what the grower says that it has beyond the count. */
    private Harvesting harvesting(StockPlantView plant, Protocol protocol, Integer have) {
        Regrowth regrowth = bears(plant, protocol).regrowth();
        PlantGroup.Rhythm rhythm = regrowth.rhythm();
        return new Harvesting(
                have == null ? borne(plant, protocol) : OptionalInt.of(have),
                rhythm.restDays(),
                Math.min(1, (double) rhythm.restDays() / rhythm.regrowDays()),
                plant.isLot() ? 1 : Harvesting.MOST_CUTS,
                OptionalInt.of(guide.sortOf(protocol.method()).large()
                        / guide.each(plant.plant().grown(), protocol.method())));
    }

    /** How many pieces of a way may be taken at once and leave the plant strong; empty where nobody has counted. */
    public OptionalInt mayTake(StockPlantView plant, Protocol protocol) {
        return bears(plant, protocol).regrowth().mayTake(today.date(), false).stream()
                .mapToInt(n -> n / guide.each(plant.plant().grown(), protocol.method()))
                .findFirst();
    }

    /** Where a stock plant stands, as far as the season goes. */
    public Setting setting(StockPlantView plant) {
        return new Setting(plant.place().climate(), people.hemisphere());
    }

    /** What is to be expected of a protocol for a stock plant. */
    public Outlook outlook(Protocol protocol, StockPlantView plant) {
        return outlook(protocol, plant, pace(plant));
    }

    /** The same where its pace is known: it is one for all ways of a plant. */
    private Outlook outlook(Protocol protocol, StockPlantView plant, Optional<OwnClock.Pace> pace) {
        Outlook usual = evidence.outlook(protocol, plant.plant().grown());
        return pace.map(p -> usual.paced(p.factor())).orElse(usual);
    }

    /** What the place of a stock plant does to the days, by this nursery's own clock; empty where none is fit to plan by. */
    Optional<OwnClock.Pace> pace(StockPlantView plant) {
        return clock.pace(plant.plant().name(), plant.place().id());
    }

    private WayRow row(
            OfferedWay offered, WayPlan plan, StockPlantView plant, Aim aim, Map<String, BatchBook.Worked> worked) {
        Protocol protocol = offered.protocol();
        Ribbon ribbon = ribbon(protocol, plan.expected(), aim.due(), aim.due());
        Map<Boolean, Double> rests = plan.season().strike().shares().stream()
                .collect(Collectors.partitioningBy(
                        s -> isOwnWay(s.closeness()), Collectors.summingDouble(s -> s.weight())));
        WayRow.Work work = work(protocol, plan.inTurn().map(InTurn::pieces).orElse(0), worked);
        return new WayRow(
                new AdvisedWay(
                        offered, plan, ownBatches(plan), protocol.figures().rate(), work.minutes()),
                ribbon,
                new WayRow.Rests((int) Math.round(rests.get(true)), (int) Math.round(rests.get(false))),
                plan.inTurn().map(t -> plan.youngPlants(t.pieces())),
                obstacles.of(plant, protocol, plan),
                plan.betterInSeason()
                        .filter(b ->
                                plan.isUncounted() || b.take().pieces() <= Harvesting.MOST_CUTS * plan.piecesAtMost()),
                work,
                guide.cautions(plant.plant().grown(), protocol).stream()
                        .map(Caution::word)
                        .collect(Collectors.joining(", ")),
                false);
    }

    private static boolean isOwnWay(Closeness closeness) {
        return closeness == Closeness.THIS_WAY || closeness == Closeness.OTHER_SEASON;
    }

    /** Batches of this plant by just this way, whatever the season. */
    private static int ownBatches(WayPlan plan) {
        return plan.season().strike().shares().stream()
                .filter(s -> isOwnWay(s.closeness()))
                .mapToInt(s -> s.batches())
                .sum();
    }

    /** By this nursery's own pace where it was timed, else by the protocol's. */
    private static WayRow.Work work(Protocol protocol, int pieces, Map<String, BatchBook.Worked> worked) {
        BatchBook.Worked own = worked.get(protocol.key());
        return own == null
                ? new WayRow.Work(Math.round(protocol.figures().minutesPerTen() * pieces / 10f), 0)
                : new WayRow.Work(own.minutesFor(pieces), own.batches());
    }

    private Aim aim(PlanForm form, LocalDate start) {
        if (start.isBefore(today.date().minusDays(DAYS_BACK))) {
            throw new InvalidField(
                    "start", Messages.text("Ways.has.passed.start.today", "start", says.day(start), "back", DAYS_BACK));
        }
        if (!form.due().isAfter(start)) {
            throw new InvalidField("due", Messages.text("Ways.not.after.start.give", "due", says.day(form.due())));
        }
        if (form.due().isAfter(today.date().plusYears(YEARS_AHEAD))) {
            throw new InvalidField(
                    "due", Messages.text("Ways.more.than.years.ahead", "due", form.due(), "yearsAhead", YEARS_AHEAD));
        }
        if ((long) form.wanted() * form.perPotOrOne() > Limits.MOST_YOUNG_PLANTS) {
            throw new InvalidField(
                    "perPot",
                    Messages.text(
                            "Ways.pots.rooted.pieces.one",
                            "wanted",
                            form.wanted(),
                            "perPotOrOne",
                            form.perPotOrOne(),
                            "perPotOrOneThen",
                            form.wanted() * form.perPotOrOne(),
                            "mostYoungPlants",
                            Limits.MOST_YOUNG_PLANTS));
        }
        return new Aim(form.wanted(), form.perPotOrOne(), form.due(), form.sure() / 100.0);
    }

    /** Whether so few batches are finished that numbers are rougher than they say. */
    @Transactional(readOnly = true)
    boolean isNurseryYoung() {
        return evidence.record().isYoung();
    }
}
