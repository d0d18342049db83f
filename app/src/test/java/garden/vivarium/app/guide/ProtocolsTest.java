package garden.vivarium.app.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.NewBatch;
import garden.vivarium.app.bench.BatchSheet;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.WayWords;
import garden.vivarium.core.guide.KeptProtocol;
import garden.vivarium.core.guide.Protocol;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A nursery's own protocols, and that no change of one ever moves a batch that was stuck before. */
class ProtocolsTest extends AtANursery {

    @Autowired
    private Protocols protocols;

    @Test
    void aCopyIsOfferedFirstAndOnlyHere() {
        Protocol own = in(() -> protocols.copy("tip-in-plugs", " Kelp plugs "));

        assertThat(own.title()).isEqualTo("Kelp plugs");
        assertThat(own.key()).isEqualTo("own-kelp-plugs");
        assertThat(in(() -> protocols.suiting("soft")).get(0)).isEqualTo(own);
        assertThat(elsewhere(() -> protocols.own())).isEmpty();
        assertThat(elsewhere(() -> protocols.current("own-kelp-plugs"))).isEmpty();
        assertThat(elsewhere(() -> protocols.version("own-kelp-plugs", 1))).isEmpty();
    }

    @Test
    void namesThatCannotBeAreRefusedInWords() {
        run(() -> protocols.copy("tip-in-plugs", "Kelp plugs"));
        assertThatThrownBy(() -> in(() -> protocols.copy("tip-in-water", "kelp  PLUGS")))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("is taken");
        assertThatThrownBy(() -> in(() -> protocols.copy("tip-in-water", " ?! ")))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("1 to 40 letters");
        assertThatThrownBy(() -> in(() -> protocols.copy("no-such", "Any"))).isInstanceOf(NotFound.class);
    }

    @Test
    void aChangeMakesAVersionAndNoChangeNone() {
        Protocol first = in(() -> protocols.copy("tip-in-plugs", "Kelp plugs"));
        Protocol second = in(() -> protocols.change(slower(first), "colder benches"));

        assertThat(second.version()).isEqualTo(2);
        assertThat(in(() -> protocols.versions(first.key())))
                .extracting(VersionView::version, VersionView::reason)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(2, "colder benches"),
                        org.assertj.core.groups.Tuple.tuple(
                                1,
                                "copied from "
                                        + guide.protocol("tip-in-plugs")
                                                .orElseThrow()
                                                .title()));
        assertThat(in(() -> protocols.version(first.key(), 1))).contains(first);
        assertThatThrownBy(() -> in(() -> protocols.change(second, "nothing")))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("Nothing differs from version 2");
        assertThatThrownBy(() ->
                        in(() -> protocols.change(guide.protocol("tip-in-water").orElseThrow(), "mine")))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("copy it");
    }

    @Test
    void editingNeverChangesARunningBatch() {
        Protocol first = in(() -> protocols.copy("tip-in-plugs", "Kelp plugs"));
        BatchView batch = in(() -> batches.make(by(first, TODAY.minusDays(9))));
        BatchSheet before = in(() -> sheets.of(batch.code()));

        run(() -> protocols.change(slower(first), "colder benches"));
        run(() -> protocols.withdraw(first.key(), true));

        BatchSheet after = in(() -> sheets.of(batch.code()));
        assertThat(after.way().protocol()).contains(first);
        assertThat(after.row().tasks()).isEqualTo(before.row().tasks());
        assertThat(after.expected()).isEqualTo(before.expected());
        assertThat(after.way().signs()).isEqualTo(before.way().signs());
        assertThat(in(() -> protocols.own()))
                .as("withdrawn, it is offered no longer")
                .isEmpty();
    }

    @Test
    void theVersionThatABatchWasStuckUnderIsKeptThoughTheGuideMovesOn() {
        Protocol older = guide.protocol("tip-in-water").orElseThrow().asVersion(77);
        run(() -> protocols.keep(older));
        run(() -> protocols.keep(older));

        assertThat(in(() -> protocols.version("tip-in-water", 77))).contains(older);
        assertThat(in(() -> protocols.current("tip-in-water")).orElseThrow().version())
                .isEqualTo(1);
        assertThat(elsewhere(() -> protocols.version("tip-in-water", 77))).isEmpty();
    }

    @Test
    void twoVersionsAreTwoWaysToTechnique() {
        Protocol first = in(() -> protocols.copy("tip-in-plugs", "Kelp plugs"));
        Protocol second = in(() -> protocols.change(slower(first), "colder benches"));
        for (Protocol p : List.of(first, second)) {
            BatchView batch = in(() -> batches.make(by(p, TODAY.minusDays(50))));
            run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(10), 9, 3)));
        }

        assertThat(in(() -> evidence.record()).ways().keySet())
                .extracting(WayWords::treated)
                .containsExactlyInAnyOrder(
                        "as kelp-plugs version 1; hormone 0.3%", "as kelp-plugs version 2; hormone 0.3%");
    }

    /** The same with a later window for ready. */
    private static Protocol slower(Protocol p) {
        String text = KeptProtocol.write(p);
        String slower = text.replaceAll("(?m)^(\\s*)tooLong: .*$", "$1tooLong: 99");
        assertThat(slower).isNotEqualTo(text);
        return KeptProtocol.read(slower);
    }

    private NewBatch by(Protocol p, LocalDate day) {
        return Growing.newBatch(p, fuchsia, 12, day, day);
    }
}
