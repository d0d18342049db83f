package garden.vivarium.app.round;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.round.Item.OtherTask;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.timing.Climate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What the round asks beside the batches, and when it falls silent. */
class ErrandsTest extends AtANursery {

    @Autowired
    private OtherTasks otherTasks;

    @Autowired
    private CareBook care;

    @Test
    void aRestedPlantMayBeCutOnceSaid() {
        run(() -> counts.cut(fuchsia.id(), 20, TODAY.minusDays(25), false));
        OtherTask cut = only("Cut?");
        assertThat(cut.what()).contains("can be cut again, 26 at most");
        run(() -> stock.restSeen(fuchsia.id()));
        assertThat(verbs()).isEmpty();

        run(() -> counts.cut(fuchsia.id(), 20, TODAY, false));
        assertThat(verbs()).as("it rests").isEmpty();
    }

    @Test
    void quarantineIsTreatedLiftedAndNothingIsCutMeanwhile() {
        run(() -> counts.cut(fuchsia.id(), 20, TODAY.minusDays(25), false));
        run(() -> stock.quarantine(fuchsia.id(), TODAY.plusDays(1)));
        run(() -> care.course(
                new Subject(
                        Subject.Kind.STOCK,
                        fuchsia.id(),
                        fuchsia.code(),
                        fuchsia.place().id()),
                "treated",
                "mealybug",
                List.of(TODAY.minusDays(9)),
                TODAY));
        OtherTask treat = only("Treat");
        assertThat(treat.pressing()).isTrue();
        run(() -> care.done(in(() -> care.due(TODAY)).get(0).id(), TODAY));
        assertThat(only("Worked?").actions()).hasSize(3);

        run(() -> stock.quarantine(fuchsia.id(), TODAY));
        assertThat(verbs()).containsExactlyInAnyOrder("Worked?", "Lift", "Cut?");
    }

    @Test
    void whatSleepsIsAskedForAndALotIsNot() {
        StockPlantView dahlia =
                plant("Dahlia ‘Port Light’", "bulb", 8, StockKind.PLANT, StockState.DORMANT, Climate.HEATED);
        plant("Lily ‘Storm Glass’", "bulb", 20, StockKind.LOT, StockState.DORMANT, Climate.COLD);
        assertThat(only("Woken?").code()).isEqualTo(dahlia.code());

        run(() -> counts.look(dahlia.id(), TODAY.minusDays(13), null, null, StockState.DORMANT, null));
        assertThat(verbs()).as("seen within the fortnight").isEmpty();
        run(() -> counts.look(dahlia.id(), TODAY.minusDays(14), null, null, StockState.DORMANT, null));
        run(() -> counts.look(dahlia.id(), TODAY, null, null, StockState.GROWING, null));
        assertThat(verbs()).isEmpty();
    }

    @Test
    void whatFlowersOnceIsFollowedByItsOffsets() {
        StockPlantView pup = plant(
                "Vriesea ‘Sunk Lantern’", "tank-rosette", 3, StockKind.PLANT, StockState.IN_FLOWER, Climate.HEATED);
        assertThat(pup.plant().flowersOnce()).as("by its group").isTrue();
        assertThat(only("Offsets").why()).contains("flowers once and dies");
    }

    private OtherTask only(String verb) {
        List<OtherTask> all = in(() -> otherTasks.of(TODAY, stock.all()));
        assertThat(all).extracting(o -> o.verb().code()).containsExactly(verb);
        return all.get(0);
    }

    private List<String> verbs() {
        return in(() -> otherTasks.of(TODAY, stock.all())).stream()
                .map(o -> o.verb().code())
                .toList();
    }

    @Test
    void aTreatmentIsPressingFromTheFourthDayOn() {
        for (int days : new int[] {3, 4}) {
            run(() -> care.course(
                    new Subject(
                            Subject.Kind.STOCK,
                            fuchsia.id(),
                            fuchsia.code(),
                            fuchsia.place().id()),
                    "treated %d days late".formatted(days),
                    "mealybug",
                    List.of(TODAY.minusDays(days)),
                    TODAY.plusDays(30)));
        }
        assertThat(in(() -> otherTasks.of(TODAY, stock.all())))
                .extracting(t -> t.what().replaceAll(", .*", ""), OtherTask::pressing)
                .containsExactlyInAnyOrder(tuple("treated 3 days late", false), tuple("treated 4 days late", true));
    }
}
