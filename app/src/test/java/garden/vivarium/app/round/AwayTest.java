package garden.vivarium.app.round;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.promise.Promises;
import garden.vivarium.core.guide.Protocol;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What an absence means for what grows, what is planned and what is owed. */
class AwayTest extends AtANursery {

    private static final LocalDate FROM = TODAY.plusDays(5);
    private static final LocalDate BACK = TODAY.plusDays(15);

    @Autowired
    private Away away;

    @Autowired
    private Plans plans;

    @Autowired
    private Promises promises;

    @Autowired
    private CareBook care;

    @Test
    void whatIsDueBeforeIsDoneBeforeAndLooksCanWait() {
        BatchView ready = running("tip-in-plugs", 24, 30);
        run(() -> batches.look(ready.code(), Growing.count(TODAY.minusDays(1), 10, 0)));
        BatchView young = running("tip-in-plugs", 12, 1);

        Away.Outlook found = judge();
        assertThat(found.before()).anySatisfy(t -> assertThat(t.what()).contains("Move 10 ready pieces"));
        assertThat(found.waits())
                .filteredOn(t -> t.code().equals(young.code()))
                .allSatisfy(t -> assertThat(t.what()).contains("Look"));
    }

    @Test
    void readyPiecesThatWouldStandTooLongSuffer() {
        Protocol water = guide.protocol("tip-in-water").orElseThrow();
        // Some may be ready while nobody is here, and the limit passes before the return.
        int first = (int) Math.round(water.ready().days().d10());
        BatchView batch = running("tip-in-water", 20, 1);
        LocalDate back = FROM.plusDays(first + water.course().tooLong() + 20L);

        Away.Outlook found = in(() -> away.judge(FROM, back));
        assertThat(found.suffers())
                .filteredOn(t -> t.code().equals(batch.code()))
                .singleElement()
                .satisfies(t -> assertThat(t.why()).contains("nobody is back before"));
        assertThat(judge().suffers())
                .as("a short absence does no harm")
                .noneMatch(t -> t.code().equals(batch.code()));
    }

    @Test
    void plansThatFallIntoItAreNotToBeStartedAsTheyStand() {
        run(() -> plans.commit(
                new Plans.Request(fuchsia.id(), "tip-in-plugs", TODAY.plusDays(8), TODAY.plusDays(150)).of(10, 90)));
        run(() -> plans.commit(
                new Plans.Request(fuchsia.id(), "tip-in-plugs", TODAY.plusDays(4), TODAY.plusDays(150)).of(10, 90)));
        run(() -> plans.commit(
                new Plans.Request(fuchsia.id(), "tip-in-plugs", TODAY.plusDays(40), TODAY.plusDays(150)).of(10, 90)));

        List<Away.Touched> not = judge().notStart();
        assertThat(not).hasSize(2);
        assertThat(not.get(0).why()).contains("first days and first look").contains("It may wait");
        assertThat(not.get(1).why()).contains("Its day falls in the absence");
    }

    @Test
    void whatIsOwedMeanwhileIsHandedOverBefore() {
        run(() -> promises.make("Midsummer", fuchsia.plant().id(), 4, TODAY.plusDays(9), 90));
        run(() -> promises.make("Harvest", fuchsia.plant().id(), 4, TODAY.plusDays(90), 90));

        assertThat(judge().before())
                .extracting(Away.Touched::code)
                .contains("Midsummer")
                .doesNotContain("Harvest");
    }

    @Test
    void aCourseOfTreatmentsDoesNotWait() {
        run(() -> care.course(
                new Subject(
                        Subject.Kind.STOCK,
                        fuchsia.id(),
                        fuchsia.code(),
                        fuchsia.place().id()),
                "treated",
                "mealybug",
                List.of(TODAY.plusDays(7)),
                TODAY.plusDays(30)));

        assertThat(judge().suffers())
                .singleElement()
                .satisfies(t -> assertThat(t.why()).contains("hatched pests do not wait"));
    }

    @ParameterizedTest
    @CsvSource({"-1, 4, from, has passed", "3, 3, back, not after you leave", "3, 200, back, up to 120 days"})
    void daysThatCannotBeAreAnsweredInWords(int from, int back, String field, String words) {
        assertThatThrownBy(() -> in(() -> away.judge(TODAY.plusDays(from), TODAY.plusDays(back))))
                .isInstanceOfSatisfying(
                        InvalidField.class, p -> assertThat(p.field()).isEqualTo(field))
                .hasMessageContaining(words);
    }

    private Away.Outlook judge() {
        return in(() -> away.judge(FROM, BACK));
    }

    private BatchView running(String protocol, int pieces, int age) {
        LocalDate day = TODAY.minusDays(age);
        return in(() ->
                batches.make(Growing.newBatch(guide.protocol(protocol).orElseThrow(), fuchsia, pieces, day, day)));
    }
}
