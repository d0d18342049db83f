package garden.vivarium.app.plan;

import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.Sorts;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.guide.Protocol;
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

    private final Sorts sorts;
    private final Guide guide;
    private final People people;
    private final Says says;
    private final Words words;
    private final Today today;

    Obstacles(Sorts sorts, Guide guide, People people, Says says, Words words, Today today) {
        this.sorts = sorts;
        this.guide = guide;
        this.people = people;
        this.says = says;
        this.words = words;
        this.today = today;
    }

    /** Why a way cannot be done as asked, and what could; empty where it can. */
    Optional<String> of(StockPlantView plant, Protocol protocol, WayPlan plan) {
        if (plan.isAllThatThereIs()) {
            return Optional.of(Alternatives.allThereIs(
                    plan, sorts.drawnOn(protocol.method(), plant.plant().group()), words));
        }
        if (plan.inTurn().isPresent()) {
            return Optional.empty();
        }
        if (plan.tooSoon().isPresent()) {
            WayPlan.TooSoon soon = plan.tooSoon().get();
            String said = words.say(
                    "obstacle.soon",
                    "possible",
                    soon.by().isPresent(),
                    "most",
                    soon.most(),
                    "by",
                    soon.by().orElse(plan.aim().due()),
                    "sure",
                    soon.sure());
            return Optional.of(
                    warmer(plan, soon.most()).map(w -> said + " " + w).orElse(said));
        }
        if (plan.isBeyondLarge()) {
            return Optional.of(words.say(
                    "obstacle.large",
                    "needed",
                    Alternatives.about(plan.take().orElseThrow().pieces()),
                    "sort",
                    sorts.drawnOn(protocol.method(), plant.plant().group()).words(),
                    "large",
                    plan.large().orElseThrow()));
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
            warmer(plan, most).ifPresent(said::add);
        }
        return Optional.of(String.join(" ", said));
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
        if (plan.isUncounted()) {
            warnings.add(words.say(
                    "warning.count.first",
                    "code",
                    plant.code(),
                    "sort",
                    sorts.drawnOn(row.protocol().method(), plant.plant().group())
                            .words()));
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
        row.plan()
                .take()
                .flatMap(t -> overTaken(plant, row.protocol(), t.pieces()))
                .ifPresent(warnings::add);
        if (plan.start().isBefore(today.date())) {
            warnings.add(words.say("Obstacles.past.start", "start", plan.start()));
        }
        plant.mayCut(plan.start(), null).forEach(f -> warnings.add(words.of(f)));
        return warnings;
    }

    /** Whether it goes on only with a word of reason, or a licence. */
    boolean needsWord(StockPlantView plant, WayRow row) {
        return plant.mayCut(row.plan().start(), null).stream().anyMatch(f -> f.weight() != MayCut.Weight.WARNING);
    }

    /** Says when more is taken at once than the plant bears well. */
    private Optional<String> overTaken(StockPlantView plant, Protocol protocol, int pieces) {
        StockPlantView.Bears bears =
                plant.bears(sorts.drawnOn(protocol.method(), plant.plant().group()));
        int each = guide.each(plant.plant().grown(), protocol.method());
        if (plant.state() == StockState.DYING
                || !bears.isCounted()
                || pieces * each > bears.pieces()
                || !bears.regrowth().isHard(pieces * each, today.date())) {
            return Optional.empty();
        }
        PlantGroup.Rhythm rhythm = rhythm(plant, protocol);
        return Optional.of(words.say(
                "warning.overtaken",
                "pieces",
                pieces,
                "bears",
                bears.pieces() / each,
                "may",
                bears.regrowth().mayTake(today.date(), false).orElseThrow() / each,
                "share",
                says.percent(rhythm.share()),
                "hard",
                rhythm.hardCut()));
    }

    private PlantGroup.Rhythm rhythm(StockPlantView plant, Protocol protocol) {
        return plant.bears(sorts.drawnOn(protocol.method(), plant.plant().group()))
                .regrowth()
                .rhythm();
    }
}
