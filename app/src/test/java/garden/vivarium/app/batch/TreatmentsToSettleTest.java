package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.core.treatment.Treatments;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What cannot be read of a treatment is listed, and is a dose once its owner said what it was. */
class TreatmentsToSettleTest extends AtANursery {

    @Autowired
    private TreatmentsToSettle treatments;

    @Test
    void whatCannotBeReadIsSettledForAllBatchesAtOnce() {
        BatchView one = made("hormone 3000; callus");
        BatchView other = made("hormone 3000");
        BatchView clear = made("hormone 0,3 %");

        assertThat(in(() -> treatments.all()))
                .singleElement()
                .satisfies(u -> assertThat(u.words()).isEqualTo("hormone 3000"))
                .satisfies(u -> assertThat(u.codes()).containsExactly(one.code(), other.code()));
        assertThat(one.way().treatment().hormonePpm()).as("no dose of nothing").isEmpty();
        assertThatThrownBy(() -> in(() -> treatments.settle("hormone 3000", "hormone 3000 strong")))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("cannot be read either");
        assertThatThrownBy(() -> in(() -> treatments.settle("hormone 3000", " ")))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("Say what it was");

        assertThat(in(() -> treatments.settle("hormone 3000", "3,000 ppm"))).isEqualTo(2);

        assertThat(in(() -> batches.find(one.code())).way().treatment())
                .isEqualTo(Treatments.read("callus; hormone 0.3%"));
        assertThat(in(() -> batches.find(other.code())).way().treatment())
                .as("now the same as what was clear from the start")
                .isEqualTo(clear.way().treatment());
        assertThat(in(() -> treatments.all())).isEmpty();
    }

    private BatchView made(String treatment) {
        return in(() -> batches.make(NewBatch.by(guide.protocol("tip-in-water").orElseThrow())
                .of(fuchsia.plant(), fuchsia.id(), fuchsia.place().id())
                .taken(TODAY.minusDays(9), 12)
                .stuck(TODAY.minusDays(9), 12)
                .treated(Treatments.read(treatment), null)
                .made()));
    }
}
