package garden.vivarium.app.promise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.plan.Owed;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.core.guide.Protocol;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What is owed, what it draws on, and how sure it is. */
class PromisesTest extends AtANursery {

    @Autowired
    private Promises promises;

    @Autowired
    private PromiseBook promiseBook;

    @Autowired
    private Plans plans;

    @Test
    void aPromiseDrawsOnWhatIsThereAndEachLookMovesItsChance() {
        BatchView batch = running(40, 30);
        PromiseView fair = promise("Spring fair", 24, TODAY.plusDays(60));

        PlantPromises.Judged before = judged(fair);
        assertThat(before.draws()).singleElement().satisfies(d -> {
            assertThat(d.from()).isEqualTo(batch.code());
            assertThat(d.plants()).isEqualTo(24);
        });
        assertThat(before.chance()).isBetween(0.3, 0.99);

        run(() -> batches.look(batch.code(), Growing.count(TODAY, 30, 1)));
        assertThat(judged(fair).chance()).as("30 of 40 are ready").isGreaterThan(before.chance());

        BatchView poor = running(40, 30);
        PromiseView market = promise("Market", 20, TODAY.plusDays(60));
        double hoped = judged(market).chance();
        run(() -> batches.look(poor.code(), Growing.count(TODAY, 4, 30)));
        run(() -> batches.look(batch.code(), Growing.count(TODAY, 30, 10)));
        assertThat(judged(market).chance()).as("most are lost").isLessThan(hoped);
    }

    @Test
    void whatIsOwedAndHasNothingUnderWayIsTold() {
        promise("Market", 12, TODAY.plusDays(90));
        assertThat(in(() -> promiseBook.uncovered())).singleElement().satisfies(o -> {
            assertThat(o.who()).isEqualTo("Market");
            assertThat(o.lacks()).isEqualTo(12);
            assertThat(o.due()).isEqualTo(TODAY.plusDays(90));
            assertThat(o.stockPlant()).isEqualTo(fuchsia.id());
        });

        BatchView batch = running(40, 40);
        run(() -> batches.look(batch.code(), Growing.count(TODAY, 30, 10)));
        promise("Spring fair", 10, TODAY.plusDays(90));
        assertThat(in(() -> promiseBook.uncovered()))
                .as("what is covered is not told")
                .extracting(Owed.Line::who)
                .containsExactly("Market");
    }

    @Test
    void noPlantIsPromisedTwice() {
        BatchView batch = running(40, 40);
        run(() -> batches.look(batch.code(), Growing.count(TODAY, 30, 10)));
        PromiseView first = promise("Spring fair", 18, TODAY.plusDays(90));
        PromiseView second = promise("Market", 18, TODAY.plusDays(95));

        assertThat(judged(second).uncovered())
                .as("of thirty some twenty-eight settle")
                .isBetween(6, 10);
        double sure = judged(first).chance();
        assertThat(sure).isGreaterThan(0.9);
        assertThat(judged(second).chance()).isLessThan(0.2);

        // One due sooner is served before both, and the first stands back by its share.
        PromiseView sooner = promise("A gift", 5, TODAY.plusDays(80));
        assertThat(judged(sooner).uncovered()).as("nothing is free").isEqualTo(5);
        String said = in(() -> promises.drop(second.id()));
        assertThat(said).contains("Next in line for them: A gift, 5");
        run(() -> promises.drawOnFree(sooner.id()));
        assertThat(judged(sooner).chance()).isGreaterThan(0.95);
        assertThat(judged(first).chance()).isLessThanOrEqualTo(sure);
    }

    @Test
    void whereAsManyAsAreOwedAreNotSureMoreThatIsFreeIsDrawnOn() {
        BatchView one = running(30, 35);
        BatchView other = running(30, 35);
        run(() -> batches.look(one.code(), Growing.count(TODAY, 12, 4)));
        run(() -> batches.look(other.code(), Growing.count(TODAY, 12, 4)));
        int even = 0;
        for (int plants = 8; plants < 24 && even == 0; plants++) {
            int wanted = plants;
            PromiseView tried = promise("Try", wanted, TODAY.plusDays(60));
            PlantPromises.Judged judged = judged(tried);
            if (judged.draws().stream().mapToInt(PlantPromises.Drawn::plants).sum() > wanted) {
                even = wanted;
                assertThat(judged.uncovered()).isZero();
                assertThat(judged.draws()).hasSizeGreaterThan(1);
            }
            run(() -> promises.drop(tried.id()));
        }
        assertThat(even).as("some number needs a margin").isPositive();
    }

    @Test
    void aLaterPromiseTakesNothingFromAnEarlierOne() {
        for (int i = 0; i < 3; i++) {
            BatchView batch = running(30, 35);
            run(() -> batches.look(batch.code(), Growing.count(TODAY, 12, 4)));
        }
        PromiseView first = promise("Spring fair", 24, TODAY.plusDays(60));
        assertThat(judged(first).chance()).isGreaterThan(0.9);

        promise("Market", 30, TODAY.plusDays(70));
        assertThat(judged(first).chance()).as("still as sure as was asked").isGreaterThanOrEqualTo(0.9);
    }

    @Test
    void whatIsHandedOverIsGoneAndTheLastKeepsThePromise() {
        BatchView batch = running(40, 40);
        run(() -> batches.look(batch.code(), Growing.count(TODAY, 30, 10)));
        PromiseView fair = promise("Spring fair", 10, TODAY.plusDays(90));
        UUID share = judged(fair).draws().get(0).id();
        int free = line().free();

        assertThat(in(() -> promises.give(share, 4))).contains("4 of 10");
        assertThat(judged(fair).promise().owed()).isEqualTo(6);
        assertThatThrownBy(() -> in(() -> promises.give(share, 7))).hasMessageContaining("give 1 to 6");
        assertThat(in(() -> promises.give(share, 6))).contains("kept");
        assertThat(in(promiseBook::lines)).isEmpty();
        assertThat(in(promiseBook::past)).extracting(p -> p.standing().state()).containsExactly(PromiseState.KEPT);

        PromiseView next = promise("Market", 5, TODAY.plusDays(90));
        assertThat(line().free()).as("what was given stays gone").isEqualTo(free - 5);
        assertThat(judged(next).chance()).isGreaterThan(0.9);
    }

    @Test
    void whatAKeptPromiseTookStandsBeforeAllThatAreStillOwed() {
        BatchView batch = running(40, 40);
        run(() -> batches.look(batch.code(), Growing.count(TODAY, 30, 10)));
        PromiseView market = promise("Market", 6, TODAY.plusDays(95));
        UUID share = judged(market).draws().get(0).id();
        run(() -> promises.give(share, 6));
        PromiseView rest = promise("A hedge", 15, TODAY.plusDays(96));
        PromiseView fair = promise("Spring fair", 12, TODAY.plusDays(90));
        assertThat(judged(fair).uncovered()).isBetween(1, 11);
        assertThat(judged(fair).chance()).isLessThan(0.5);
        run(() -> promises.drop(rest.id()));

        assertThat(judged(fair).chance())
                .as("though it is due sooner, it is the last that draws on the batch, and so has all that is over")
                .isGreaterThan(0.9);
    }

    @Test
    void namesWaitInLineAndMayBeServedEarlier() {
        PromiseView ida = promise("Ida", 2, null);
        PromiseView bo = promise("Bo", 1, null);

        assertThat(line().promises()).extracting(j -> j.promise().who()).containsExactly("Ida", "Bo");
        assertThat(judged(ida).isShort()).as("no day, no risk").isFalse();
        run(() -> promises.forward(bo.id()));
        assertThat(line().promises()).extracting(j -> j.promise().who()).containsExactly("Bo", "Ida");
        assertThat(in(() -> promises.forward(bo.id()))).contains("first already");
    }

    @Test
    void whatIsShortIsMadeUpByStickingMore() {
        BatchView batch = running(24, 20);
        PromiseView fair = promise("Spring fair", 24, TODAY.plusDays(75));
        PlantPromises.Judged before = judged(fair);
        assertThat(before.isShort()).isTrue();
        assertThat(before.advice()).isPresent();
        assertThat(before.advice().get().from().code()).isEqualTo(fuchsia.code());
        assertThat(in(promiseBook::atRisk)).hasSize(1);

        PlanView plan = in(() -> promises.topUp(fair.id()));
        assertThat(plan.start().take()).isEqualTo(before.advice().get().take());
        PlantPromises.Judged planned = judged(fair);
        assertThat(planned.chance()).isCloseTo(before.advice().get().chance(), within(0.005));
        assertThat(planned.isShort()).isFalse();
        assertThat(planned.draws()).hasSize(2);
        PromiseView market = promise("Market", 10, TODAY.plusDays(90));
        assertThat(judged(fair).chance())
                .as("what is stuck for it is not promised to others")
                .isGreaterThanOrEqualTo(0.9);
        run(() -> promises.drop(market.id()));

        Protocol way = guide.protocol(plan.protocol()).orElseThrow();
        BatchView stuck = in(() -> plans.stick(plan.id(), onPlan(plan, way)));
        assertThat(judged(fair).draws())
                .extracting(PlantPromises.Drawn::from)
                .as("the share moves from the plan to its batch")
                .containsExactlyInAnyOrder(batch.code(), stuck.code());
        assertThat(judged(fair).chance()).isCloseTo(planned.chance(), within(0.01));
        assertThatThrownBy(() -> in(() -> promises.topUp(fair.id()))).hasMessageContaining("not short any more");
    }

    @Test
    void aDroppedPlanSaysWhatItLeavesUncovered() {
        running(24, 20);
        PromiseView fair = promise("Spring fair", 24, TODAY.plusDays(75));
        PlanView plan = in(() -> promises.topUp(fair.id()));

        assertThat(in(() -> plans.drop(plan.id())))
                .contains(fuchsia.code()
                        + " keeps its %d pieces".formatted(plan.start().take()))
                .contains("Spring fair drew on it");
        assertThat(judged(fair).isShort()).isTrue();
    }

    @Test
    void tooLateToStickMoreIsSaid() {
        PromiseView fair = promise("Spring fair", 24, TODAY.plusDays(5));

        assertThat(judged(fair).advice()).isEmpty();
        assertThat(judged(fair).chance()).isZero();
        assertThatThrownBy(() -> in(() -> promises.topUp(fair.id())))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("speak to Spring fair");
    }

    @ParameterizedTest
    @CsvSource({
        "'', 3, 20, 90, who, to whom",
        "Fair, 0, 20, 90, plants, 1 to 5",
        "Fair, 1000000, 20, 90, plants, 1 to 5",
        "Fair, 3, -1, 90, due, has passed",
        "Fair, 3, 4000, 90, due, more than 5 years",
        "Fair, 3, 20, 100, sure, 50% to 99%",
    })
    void whatCannotBePromisedIsAnsweredInWords(String who, int plants, int days, int sure, String field, String words) {
        assertThatThrownBy(() -> in(() -> promises.make(who, fuchsia.plant().id(), plants, TODAY.plusDays(days), sure)))
                .isInstanceOfSatisfying(
                        InvalidField.class, p -> assertThat(p.field()).isEqualTo(field))
                .hasMessageContaining(words);
    }

    @Test
    void anotherNurserysPromisesAreNotThere() {
        PromiseView mine = promise("Spring fair", 3, TODAY.plusDays(50));

        assertThat(elsewhere(promiseBook::lines)).isEmpty();
        assertThatThrownBy(() -> elsewhere(() -> promises.drop(mine.id()))).isInstanceOf(NotFound.class);
        assertThatThrownBy(() ->
                        elsewhere(() -> promises.make("Fair", fuchsia.plant().id(), 3, null, null)))
                .hasMessageContaining("not here");
    }

    private NewBatch onPlan(PlanView plan, Protocol way) {
        return NewBatch.by(way)
                .of(fuchsia.plant(), fuchsia.id(), fuchsia.place().id())
                .onPlan(plan.id())
                .taken(TODAY, plan.start().take())
                .stuck(TODAY, plan.start().take())
                .made();
    }

    private PromiseView promise(String who, int plants, LocalDate due) {
        return in(() -> promises.make(who, fuchsia.plant().id(), plants, due, 90));
    }

    private PlantPromises line() {
        return in(promiseBook::lines).get(0);
    }

    private PlantPromises.Judged judged(PromiseView promise) {
        return line().promises().stream()
                .filter(j -> j.promise().id().equals(promise.id()))
                .findFirst()
                .orElseThrow();
    }
}
