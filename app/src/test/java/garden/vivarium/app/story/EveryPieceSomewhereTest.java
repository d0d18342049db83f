package garden.vivarium.app.story;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Departures;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.batch.SentView;
import garden.vivarium.app.batch.Slips;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Milestone;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Whatever is looked at, sent twice, cut again, potted and undone, in whatever order: every piece is in one state, and tallies equal a recount. */
class EveryPieceSomewhereTest extends AtANursery {

    private static final int STUCK = 20;

    @Autowired
    private Offspring offspring;

    @Autowired
    private Departures departures;

    @Autowired
    private Slips slips;

    private String code;

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15, 16})
    void nothingIsLostOrDoubled(long seed) {
        Random random = new Random(seed);
        code = in(() -> Growing.stuck(batches, guide, fuchsia, STUCK, TODAY.minusDays(40)))
                .code();
        int cut = 0;
        for (int step = 0; step < 16; step++) {
            Set<UUID> before = in(() -> slips.marks(code));
            BatchView b = now();
            int able = b.readyToMove();
            switch (random.nextInt(7)) {
                case 0, 1 -> look(b, random);
                case 2 -> {
                    if (able > 0) {
                        int n = 1 + random.nextInt(able);
                        run(() -> moves.potInto(code, TODAY, n, "a basket"));
                    }
                }
                case 3 -> {
                    if (able > 0) {
                        int n = 1 + random.nextInt(able);
                        run(() -> moves.move(code, TODAY, n, n));
                    }
                }
                case 4 -> {
                    boolean rooted = able > 0 && random.nextBoolean();
                    if (rooted || b.counts().pending() > 0) {
                        run(() -> offspring.section(code, rooted, 1, 2, "tip-in-plugs", TODAY, "Bench"));
                        cut++;
                    }
                }
                case 5 -> {
                    List<SentView> left = in(() -> departures.of(b.id()));
                    if (!left.isEmpty()) {
                        SentView one = left.get(random.nextInt(left.size()));
                        run(() -> departures.correct(
                                code, one.id(), new Departures.Departure(one.on(), 0, one.state(), ""), null));
                    }
                }
                default -> loseOne(b);
            }
            if (random.nextInt(4) == 0) {
                in(() -> slips.since(code, before)).ifPresent(this::undo);
            }
            everyPieceIsSomewhere();
        }
        int halves = cut;
        assertThat(in(() -> book.kinCutFrom(List.of(b()))))
                .hasSize(halves)
                .allSatisfy(k -> assertThat(k.stuck()).isEqualTo(2));
    }

    /** What was sent away or cut again is corrected where it stands, not undone: that is refused, and nothing changes. */
    private void undo(Slips.Act act) {
        int changes = now().changes();
        try {
            run(() -> slips.takeBack(act));
        } catch (InvalidField refused) {
            assertThat(refused).hasMessageContaining("sent away");
            assertThat(now().changes()).isEqualTo(changes);
        }
    }

    private UUID b() {
        return now().id();
    }

    private BatchView now() {
        return in(() -> batches.find(code));
    }

    /** A look by count, sent twice under one id. */
    private void look(BatchView b, Random random) {
        Counts c = b.counts();
        int more = c.pending() == 0 ? 0 : random.nextInt(c.pending() + 1);
        int gone = c.pending() - more == 0 ? 0 : random.nextInt(2);
        LookCommand look = LookCommand.ofCounts(
                UUID.randomUUID(),
                TODAY,
                LookKind.LIFTED,
                new LookCommand.Counted(null, c.ready() + more, c.lost() + gone, c.sent(), null),
                null,
                null);
        run(() -> batches.look(code, look));
        run(() -> batches.look(code, look));
    }

    private void loseOne(BatchView b) {
        in(() -> book.pottings(b.id())).stream()
                .filter(p -> p.standing() > 0)
                .findFirst()
                .map(PottingView::id)
                .ifPresent(p -> run(() -> moves.lose(code, p, 1, LossCause.ROT)));
    }

    private void everyPieceIsSomewhere() {
        BatchView b = now();
        List<Integer> states = List.of(
                b.counts().pending(),
                b.readyToMove(),
                b.movedNow(),
                b.sentAway(),
                b.counts().lost(),
                b.counts().lostReady());
        assertThat(states).allSatisfy(n -> assertThat(n).isNotNegative());
        assertThat(states.stream().mapToInt(Integer::intValue).sum())
                .as(states.toString())
                .isEqualTo(STUCK);
        BatchBook.Looks looks = in(() -> book.looks(code));
        assertThat(in(() -> evidence.counted(List.of(b.id()))).get(b.id()).ready())
                .as("tallies equal a recount")
                .isEqualTo(looks.history().orElseThrow().tallies(Milestone.READY));
        assertThat(new HashSet<>(in(() -> book.pottings(b.id())).stream()
                        .map(PottingView::id)
                        .toList()))
                .hasSameSizeAs(in(() -> book.pottings(b.id())));
    }
}
