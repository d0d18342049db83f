package garden.vivarium.app.plan;

import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PieceSort;
import garden.vivarium.core.plan.Harvesting;
import garden.vivarium.core.plan.InTurn;
import garden.vivarium.core.plan.Instead;
import garden.vivarium.core.plan.WayPlan;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.web.util.UriComponentsBuilder;

/** Where an aim cannot be met by a way: why, and what could be done instead. */
@Component
class Alternatives {

    private static final double HARDLY = 0.01;
    private static final double HARDLY_EVER = 0.05;
    private static final double AS_OFTEN_AS_NOT = 0.5;
    private static final double NEARLY_ALWAYS = 0.95;

    private final Guide guide;
    private final Says says;
    private final Words words;

    Alternatives(Guide guide, Says says, Words words) {
        this.guide = guide;
        this.says = says;
        this.words = words;
    }

    /**
     * What is said of a way that cannot be done as asked; empty of one that can.
     *
     * @param all ways of the plant
     * @param live stock plants from which something may still come
     */
    Optional<CannotBeDone> of(
            StockPlantView plant, PlanForm form, WayRow row, List<WayRow> all, List<StockPlantView> live) {
        WayPlan plan = row.plan();
        if (row.isFeasible() && !plan.isAllThatThereIs()) {
            return Optional.empty();
        }
        Instead instead = Instead.of(plan);
        PieceSort sort = guide.sortOf(row.protocol().method(), plant.plant().group());
        List<CannotBeDone.Option> options = new ArrayList<>();
        all.stream()
                .filter(r ->
                        r.isFeasible() && !r.plan().isUncounted() && !r.plan().isAllThatThereIs())
                .findFirst()
                .ifPresent(r -> options.add(option(
                        words.say(
                                "instead.way",
                                "title",
                                r.protocol().title(),
                                "take",
                                r.plan().inTurn().orElseThrow().pieces(),
                                "chance",
                                says.percent(r.plan().inTurn().orElseThrow().chance())),
                        form,
                        r.protocol().key(),
                        form.wanted(),
                        form.due(),
                        form.start())));
        instead.fewer()
                .ifPresent(n -> options.add(option(
                        words.say("instead.fewer", "bears", instead.bears(), "fewer", n, "due", form.due()),
                        form,
                        row.protocol().key(),
                        n,
                        form.due(),
                        form.start())));
        Optional<LocalDate> later = instead.later().or(instead::soonest).filter(d -> d.isAfter(form.due()));
        later.ifPresent(day -> options.add(option(
                words.say(
                        instead.later().isPresent() ? "instead.later" : "instead.soonest",
                        "wanted",
                        form.wanted(),
                        "bears",
                        instead.bears(),
                        "day",
                        day),
                form,
                row.protocol().key(),
                form.wanted(),
                day,
                form.start())));
        row.better()
                .filter(b -> b.take().pieces() <= instead.bears())
                .ifPresent(b -> options.add(option(
                        words.say(
                                "instead.season",
                                "day",
                                b.start(),
                                "take",
                                b.take().pieces()),
                        form,
                        row.protocol().key(),
                        form.wanted(),
                        form.due(),
                        b.start())));
        if (plan.tooSoon().isPresent()) {
            options.add(new CannotBeDone.Option(
                    words.say("instead.buy.rooted", "wanted", form.wanted(), "due", form.due()),
                    "/stock/new?kind=LOT"));
        }
        if (plan.isBeyondLarge()) {
            options.add(new CannotBeDone.Option(
                    words.say("instead.count", "code", plant.code(), "sort", sort.words()),
                    "/stock/" + plant.id() + "/change"));
        }
        // Where the day is too soon more pieces are no answer.
        instead.more().stream()
                .filter(more -> plan.tooSoon().isEmpty())
                .forEach(more -> options.addAll(withMore(plant, form, sort, more, live)));
        if (options.isEmpty()) {
            options.add(
                    new CannotBeDone.Option(words.say("instead.another.plant", "code", plant.code()), "/stock/new"));
        }
        return Optional.of(new CannotBeDone(
                row.isFeasible()
                        ? CannotBeDone.Head.ALL_THERE_IS
                        : plan.tooSoon().isPresent() ? CannotBeDone.Head.TOO_SOON : CannotBeDone.Head.CANNOT,
                why(plant, plan, instead, sort),
                options));
    }

    /** "All 3 offsets: three grow 85 times in 100, two nearly always." */
    static String allThereIs(WayPlan plan, PieceSort sort, Words words) {
        InTurn all = plan.inTurn().orElseThrow();
        return words.say(
                "instead.all",
                "bears",
                sort.count(all.pieces()),
                "within",
                all.chance() >= HARDLY_EVER,
                "wanted",
                plan.aim().youngPlants(),
                "chance",
                Math.round(100 * all.chance()),
                "likely",
                plan.givesWith(AS_OFTEN_AS_NOT),
                "sure",
                plan.givesWith(NEARLY_ALWAYS));
    }

    private String why(StockPlantView plant, WayPlan plan, Instead instead, PieceSort sort) {
        if (plan.isAllThatThereIs()) {
            return allThereIs(plan, sort, words);
        }
        if (plan.tooSoon().isPresent()) {
            WayPlan.TooSoon soon = plan.tooSoon().get();
            return words.say(
                    "instead.why.soon",
                    "due",
                    plan.aim().due(),
                    "most",
                    soon.most(),
                    "possible",
                    soon.by().isPresent(),
                    "by",
                    soon.by().orElse(plan.aim().due()),
                    "sure",
                    soon.sure());
        }
        if (plan.isBeyondReach()) {
            return instead.isTooUnsure()
                    ? words.say(
                            "instead.why.unsure",
                            "percent",
                            Math.round(100 * plan.aim().confidence()))
                    : words.say("instead.why.time", "due", plan.aim().due());
        }
        if (plan.isBeyondLarge()) {
            return words.say(
                    "obstacle.large",
                    "needed",
                    about(plan.take().orElseThrow().pieces()),
                    "sort",
                    sort.words(),
                    "large",
                    plan.large().orElseThrow());
        }
        if (instead.bears() == 0) {
            return words.say("instead.why.bare", "code", plant.code(), "sort", sort.words());
        }
        return words.say(
                plant.isLot() ? "instead.why.lot" : "instead.why.stock",
                "code",
                plant.code(),
                "bears",
                sort.count(instead.bears()),
                "needed",
                about(plan.take().orElseThrow().pieces()),
                "cuts",
                Harvesting.MOST_CUTS,
                "chance",
                says.percent(instead.chance()),
                "hardly",
                instead.chance() < HARDLY);
    }

    /** As people say it: 9,462 is about 9,500, and 48 is 48. */
    static int about(int number) {
        int step = number < 100 ? 1 : number < 1000 ? 10 : 100;
        return Math.round((float) number / step) * step;
    }

    private List<CannotBeDone.Option> withMore(
            StockPlantView plant, PlanForm form, PieceSort sort, int more, List<StockPlantView> live) {
        List<CannotBeDone.Option> options = new ArrayList<>();
        List<StockPlantView> sisters = live.stream()
                .filter(s -> s.plant().id().equals(plant.plant().id()) && !s.id().equals(plant.id()))
                .filter(s -> s.bears(sort).isCounted() && s.bears(sort).pieces() > 0)
                .sorted(Comparator.comparing(
                        (StockPlantView s) -> -s.bears(sort).pieces()))
                .toList();
        if (!sisters.isEmpty()) {
            options.add(new CannotBeDone.Option(
                    words.say(
                            "instead.sister",
                            "codes",
                            sisters.stream().map(StockPlantView::code).collect(Collectors.joining(", ")),
                            "count",
                            sisters.size(),
                            "bears",
                            sort.count(sisters.stream()
                                    .mapToInt(s -> s.bears(sort).pieces())
                                    .sum())),
                    plan(
                            form,
                            form.way(),
                            form.wanted(),
                            form.due(),
                            form.start(),
                            sisters.get(0).id().toString())));
        }
        options.add(new CannotBeDone.Option(
                words.say("instead.buy", "more", sort.count(about(more))), "/stock/new?kind=LOT"));
        options.add(new CannotBeDone.Option(
                words.say("instead.build.up"),
                UriComponentsBuilder.fromPath("/plan/build-up")
                        .queryParam("stock", plant.id())
                        .queryParam("wanted", form.wanted())
                        .queryParam("due", form.due())
                        .build()
                        .toString()));
        return options;
    }

    private static CannotBeDone.Option option(
            String said, PlanForm form, String way, Integer wanted, LocalDate due, LocalDate start) {
        return new CannotBeDone.Option(
                said, plan(form, way, wanted, due, start, form.stock().toString()));
    }

    private static String plan(
            PlanForm form, String way, Integer wanted, LocalDate due, LocalDate start, String stockPlant) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/plan")
                .queryParam("stock", stockPlant)
                .queryParam("wanted", wanted)
                .queryParam("perPot", form.perPotOrOne())
                .queryParam("due", due)
                .queryParam("sure", form.sure());
        if (start != null) {
            address.queryParam("start", start);
        }
        if (form.until() != null) {
            address.queryParam("until", form.until());
        }
        if (way != null) {
            address.queryParam("way", way);
        }
        if (form.forWhom() != null) {
            address.queryParam("forWhom", "{whom}");
        }
        return address.encode()
                .buildAndExpand(Map.of("whom", form.forWhom() == null ? "" : form.forWhom()))
                .toUriString();
    }
}
