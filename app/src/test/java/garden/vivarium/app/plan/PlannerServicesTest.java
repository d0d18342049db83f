package garden.vivarium.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.Missing;
import garden.vivarium.app.platform.Problem;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.guide.Section;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Splitting, rescuing, building up, room, materials, and whether plans were right. */
class PlannerServicesTest extends AtANursery {

    @Autowired
    private Plans plans;

    @Autowired
    private Ways ways;

    @Autowired
    private Rescues rescues;

    @Autowired
    private BuildUps buildUps;

    @Autowired
    private Space space;

    @Autowired
    private Stores stores;

    @Autowired
    private Outcomes outcomes;

    @Autowired
    private JdbcClient database;

    @Test
    void aSplitMakesTwoPlansThatStandForOneAim() {
        PlanForm form = splitForm(5);
        run(() -> plans.commitSplit(form));
        List<PlanView> made = in(plans::waiting);

        assertThat(made).hasSize(2);
        assertThat(made.get(0).splitId()).isNotNull().isEqualTo(made.get(1).splitId());
        assertThat(made).extracting(PlanView::startOn).containsExactly(TODAY, TODAY.plusDays(5));
        assertThat(made).allSatisfy(p -> assertThat(p.chance()).isGreaterThanOrEqualTo(0.8));
        Split split = in(() -> ways.split(fuchsia, form).orElseThrow());
        assertThat(made)
                .extracting(PlanView::take)
                .containsExactly(split.hedge().first(), split.hedge().second());
    }

    @Test
    void theSecondHalfMustStartBeforeTheDayDue() {
        PlanForm form = splitForm(100);
        assertThatThrownBy(() -> in(() -> ways.split(fuchsia, form)))
                .isInstanceOfSatisfying(
                        Problem.class, p -> assertThat(p.field()).isEqualTo("later"));
    }

    @Test
    void aRescueSpreadsWhatThereIsAndItsPlansAreCommitted() {
        var philodendron = plant("Philodendron ‘Hawser’", "climbing-aroid", 8);
        List<Section> sections = rescues.sections(philodendron);
        assertThat(sections).contains(Section.TIP, Section.BARE);

        List<Rescues.Choice> choices =
                in(() -> rescues.choices(philodendron, Map.of(Section.TIP, 2, Section.BARE, 4), 40, 20));
        assertThat(choices).filteredOn(Rescues.Choice::best).hasSize(1);
        assertThat(choices.get(0).rescue().somethingLives())
                .isGreaterThan(choices.get(2).rescue().somethingLives());
        assertThat(choices.get(2).rescue().somethingLives()).isCloseTo(0.4, within(1e-9));

        int made = in(() -> rescues.commit(philodendron, choices.get(0).rescue()));
        assertThat(made).isEqualTo(choices.get(0).rescue().shares().size());
        assertThat(in(plans::waiting))
                .hasSize(made)
                .allSatisfy(p -> assertThat(p.reason()).isEqualTo("rescue"));
    }

    @ParameterizedTest
    @CsvSource({"500, 40, 20, TIP", "2, 140, 20, alone", "2, 40, 60, cut"})
    void aRescueThatCannotBeNamesTheField(int tips, int alone, int cut, String field) {
        assertThatThrownBy(() -> in(() -> rescues.choices(fuchsia, Map.of(Section.TIP, tips), alone, cut)))
                .isInstanceOfSatisfying(
                        Problem.class, p -> assertThat(p.field()).isEqualTo(field));
    }

    @Test
    void aBuildUpGoesByTheWayThatIsProvenHere() {
        for (int i = 0; i < 2; i++) {
            finished(30, 26, 100 + 10 * i);
        }
        BuildUps.Answer answer = in(() ->
                buildUps.reckon(fuchsia, new BuildUpForm(fuchsia.id(), 500, TODAY.plusDays(700), 2, 12, null, null)));

        assertThat(answer.way().key()).isEqualTo("tip-in-plugs");
        assertThat(answer.known().stock()).isEqualTo(2);
        assertThat(answer.best().middle()).isPresent();
        assertThat(answer.best().keeps()).isNotEmpty();
        assertThatThrownBy(() -> in(() -> buildUps.reckon(
                        fuchsia, new BuildUpForm(fuchsia.id(), 500, TODAY.minusDays(1), 2, 12, null, null))))
                .hasMessageContaining("has passed");
    }

    @Test
    void aPlanThatDoesNotFitSaysWhereAndWhen() {
        run(() -> stock.holds(fuchsia.place().id(), 1.0));
        running(60, 10);
        PlanForm form = PlanForm.of(fuchsia.id(), 20, TODAY.plusDays(120), 80, TODAY, "tip-in-plugs", null, null);
        var here = in(() -> stock.find(fuchsia.id()).orElseThrow());
        WayRow row = in(() -> ways.way(here, form).orElseThrow());

        assertThat(in(() -> space.doesNotFit(here, row, null)).orElseThrow())
                .contains(fuchsia.place().name() + " holds 1 trays")
                .contains("Mon 15 Jun");
        assertThat(row.trayDays()).isPositive();
        run(() -> stock.holds(fuchsia.place().id(), 20.0));
        var roomy = in(() -> stock.find(fuchsia.id()).orElseThrow());
        assertThat(in(() -> space.doesNotFit(roomy, row, null))).isEmpty();
        assertThat(in(space::benches))
                .anySatisfy(b -> assertThat(b.weeks().get(0)).isEqualTo(1));
        assertThatThrownBy(() -> run(() -> stock.holds(fuchsia.place().id(), -1.0)))
                .hasMessageContaining("more than none");
        assertThatThrownBy(() -> elsewhere(() -> {
                    stock.holds(fuchsia.place().id(), 2.0);
                    return null;
                }))
                .isInstanceOf(Missing.class);
    }

    @Test
    void aPlanThatIsChangedDoesNotStandInItsOwnWay() {
        run(() -> stock.holds(fuchsia.place().id(), 1.5));
        PlanView old = in(() -> plans.commit(fuchsia.id(), 20, TODAY.plusDays(120), TODAY, "tip-in-plugs"));
        var here = in(() -> stock.find(fuchsia.id()).orElseThrow());
        PlanForm form = PlanForm.of(fuchsia.id(), 10, TODAY.plusDays(120), 80, TODAY, "tip-in-plugs", null, null);
        WayRow row = in(() -> ways.way(here, form).orElseThrow());

        assertThat(in(() -> space.doesNotFit(here, row, null))).isPresent();
        assertThat(in(() -> space.doesNotFit(here, row, old.id()))).isEmpty();
    }

    @Test
    void whatThePlansNeedIsSetAgainstTheShed() {
        run(() -> plans.commit(fuchsia.id(), 24, TODAY.plusDays(120), TODAY, "tip-in-plugs"));
        Stores.Row compost = row("plug compost");
        assertThat(compost.need()).isPositive();
        assertThat(compost.missing()).isEqualTo(compost.need());
        assertThat(compost.packs()).as("what a pack holds is not said").isNull();

        run(() -> stores.keep("plug compost", 0.5, 1.0, 3.0, null));
        Stores.Row kept = row("plug compost");
        assertThat(kept.packs()).isEqualTo((int) Math.ceil(kept.need() - 0.5));
        assertThat(kept.cost()).isEqualTo(3.0 * kept.packs());

        double mix = row("peat-free compost").need();
        run(() -> stores.keep("peat-free compost", null, null, null, "3 coir, 1 bark"));
        assertThat(row("coir").need()).isCloseTo(0.75 * mix, within(1e-9));
        assertThat(row("bark").need()).isCloseTo(0.25 * mix, within(1e-9));
        assertThat(elsewhere(stores::rows)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "'', 1, 1, 1, , name",
        "grit, -1, 1, 1, , there",
        "grit, 1, 0, 1, , pack",
        "grit, 1, 1, -2, , price",
        "grit, 1, 1, 1, some of this, recipe",
        "grit, 1, 1, 1, 1 grit, recipe",
    })
    void whatCannotBeInTheShedNamesTheField(
            String name, double there, double pack, double price, String recipe, String field) {
        assertThatThrownBy(() -> in(() -> stores.keep(name, there, pack, price, recipe)))
                .isInstanceOfSatisfying(
                        Problem.class, p -> assertThat(p.field()).isEqualTo(field));
    }

    @Test
    void finishedBatchesAndHunchesAreJudged() {
        assertThat(in(outcomes::book).judged()).isEmpty();
        for (int i = 0; i < 4; i++) {
            finished(30, 20 + 2 * i, 90 + 12 * i);
        }
        Outcomes.Book book = in(outcomes::book);

        assertThat(book.judged()).extracting(Outcomes.Judged::fromOwn).contains(false);
        assertThat(book.judged().stream().mapToInt(Outcomes.Judged::batches).sum())
                .isEqualTo(4);
        assertThat(book.judged().get(0).levels()).hasSize(4);
        assertThat(book.hunches().orElseThrow().batches()).isEqualTo(4);
        assertThat(book.hunches().orElseThrow().bias())
                .as("25 guessed of 30, 23 came on average")
                .isCloseTo(100 * 2 / 30.0, within(1e-9));
        assertThat(book.plans()).isEmpty();
    }

    @Test
    void aPlanIsJudgedOnceItsDayHasPassedOrItsBatchIsOver() {
        PlanView plan = in(() -> plans.commit(fuchsia.id(), 6, TODAY.plusDays(120), TODAY, "tip-in-plugs"));
        Protocol way = guide.protocol("tip-in-plugs").orElseThrow();
        BatchView batch = in(() -> plans.stick(
                plan.id(),
                NewBatch.by(way)
                        .of(fuchsia.plant(), fuchsia.id(), fuchsia.place().id())
                        .onPlan(plan.id())
                        .taken(TODAY.minusDays(9), plan.take())
                        .stuck(TODAY.minusDays(9), plan.take())
                        .made()));
        assertThat(in(outcomes::book).plans()).as("its day is to come").isEmpty();

        run(() -> batches.look(batch.code(), Growing.count(TODAY, 0, plan.take())));
        Outcomes.Outcome outcome = in(outcomes::book).plans().get(0);
        assertThat(outcome.came()).isZero();
        assertThat(outcome.met()).hasValue(0);
        assertThat(in(outcomes::book).ofPlans().orElseThrow().of()).isOne();
    }

    @Test
    void rootsDateAPlanAndNotTheDaySomebodyLooked() {
        BatchView batch = planned(20, TODAY.minusDays(50), TODAY.minusDays(6));
        assertThat(in(outcomes::book).plans().get(0).isKnown())
                .as("its day has passed and nobody has looked")
                .isFalse();
        assertThat(in(outcomes::book).ofPlans()).as("unknown is not failed").isEmpty();

        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(40), 0, 1)));
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(1), 18, 2)));
        Outcomes.Outcome outcome = in(outcomes::book).plans().get(0);

        assertThat(outcome.met().orElseThrow())
                .as(
                        "12 wanted; 18 became ready between day 10 and day 49, the move takes 14 days more, and it was due on day 44")
                .isBetween(0.02, 0.98);
        assertThat(outcome.words()).contains("in 100 that it was met");
        assertThat(in(outcomes::book).ofPlans().orElseThrow().of()).isOne();
    }

    /** A plan of 12 by plugs, stuck on a day and due on a day that has passed. */
    private BatchView planned(int pieces, LocalDate stuckOn, LocalDate due) {
        PlanView plan = in(() -> plans.commit(fuchsia.id(), 12, TODAY.plusDays(90), TODAY, "tip-in-plugs"));
        BatchView batch = in(() -> plans.stick(
                plan.id(),
                NewBatch.by(guide.protocol("tip-in-plugs").orElseThrow())
                        .of(fuchsia.plant(), fuchsia.id(), fuchsia.place().id())
                        .onPlan(plan.id())
                        .taken(stuckOn, pieces)
                        .stuck(stuckOn, pieces)
                        .made()));
        database.sql("update plan set due = ? where id = ?")
                .param(due.toString())
                .param(plan.id().toString())
                .update();
        return batch;
    }

    private PlanForm splitForm(int later) {
        return new PlanForm(
                fuchsia.id(),
                16,
                1,
                TODAY.plusDays(100),
                80,
                TODAY,
                "tip-in-plugs",
                null,
                null,
                null,
                "tip-in-water",
                later,
                null);
    }

    private Stores.Row row(String name) {
        return in(stores::rows).stream()
                .filter(r -> r.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private BatchView running(int pieces, int age) {
        LocalDate day = TODAY.minusDays(age);
        return in(() -> batches.make(
                Growing.newBatch(guide.protocol("tip-in-plugs").orElseThrow(), fuchsia, pieces, day, day)));
    }

    /** A batch by plugs of which so many became ready and the rest were lost, with a hunch of 25. */
    private void finished(int pieces, int ready, int age) {
        LocalDate day = TODAY.minusDays(age);
        BatchView batch =
                in(() -> batches.make(NewBatch.by(guide.protocol("tip-in-plugs").orElseThrow())
                        .of(fuchsia.plant(), fuchsia.id(), fuchsia.place().id())
                        .taken(day, pieces)
                        .stuck(day, pieces)
                        .guessed(25, 20)
                        .made()));
        run(() -> batches.look(batch.code(), Growing.count(day.plusDays(30), ready, pieces - ready)));
        run(() -> batches.move(batch.code(), day.plusDays(31), ready, ready));
        BatchView moved = in(() -> batches.find(batch.code()));
        run(() -> reads.pottings(moved.id())
                .forEach(p -> batches.settle(moved.code(), p.id(), day.plusDays(50), p.youngPlants())));
    }
}
