package garden.vivarium.app.outcome;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.core.guide.Protocol;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Whether plans, reckoning and hunches were right. */
class OutcomesTest extends AtANursery {

    @Autowired
    private Plans plans;

    @Autowired
    private Outcomes outcomes;

    @Autowired
    private JdbcClient database;

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
        PlanView plan = in(() ->
                plans.commit(new Plans.Request(fuchsia.id(), "tip-in-plugs", TODAY, TODAY.plusDays(120)).of(6, 90)));
        Protocol way = guide.protocol("tip-in-plugs").orElseThrow();
        BatchView batch = in(() -> plans.stick(
                plan.id(),
                NewBatch.by(way)
                        .of(fuchsia.plant(), fuchsia.id(), fuchsia.place().id())
                        .onPlan(plan.id())
                        .taken(TODAY.minusDays(9), plan.start().take())
                        .stuck(TODAY.minusDays(9), plan.start().take())
                        .made()));
        assertThat(in(outcomes::book).plans()).as("its day is to come").isEmpty();

        run(() ->
                batches.look(batch.code(), Growing.count(TODAY, 0, plan.start().take())));
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
        PlanView plan = in(() ->
                plans.commit(new Plans.Request(fuchsia.id(), "tip-in-plugs", TODAY, TODAY.plusDays(90)).of(12, 90)));
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
}
