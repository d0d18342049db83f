package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.Clash;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.LookKind;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Eight people who save at the same moment. */
class EightWritersTest extends AtANursery {

    private static final int WRITERS = 8;
    private static final int ROUNDS = 6;

    @Test
    void eachToABatchOfTheirOwnAllAreKept() throws Exception {
        List<BatchView> own =
                IntStream.range(0, WRITERS).mapToObj(i -> running(12, 30)).toList();
        for (int round = 1; round <= ROUNDS; round++) {
            int ready = round;
            assertThat(atOnce(i ->
                            batches.look(own.get(i).code(), Growing.count(TODAY.minusDays(ROUNDS - ready), ready, 0))))
                    .as("round %d", round)
                    .isEmpty();
        }
        assertThat(own)
                .allSatisfy(b -> assertThat(
                                in(() -> batches.find(b.code())).counts().ready())
                        .isEqualTo(ROUNDS));
        assertThat(in(() -> evidence.counted(own.stream().map(BatchView::id).toList()))
                        .values())
                .as("evidence was told of every look")
                .hasSize(WRITERS)
                .allSatisfy(c -> assertThat(c.ready().counts()).hasSize(ROUNDS + 1));
    }

    @Test
    void allMakeBatchesOfOneWeekAndEachHasACodeOfItsOwn() throws Exception {
        assertThat(atOnce(i -> batches.make(
                        Growing.newBatch(guide.protocol("tip-in-plugs").orElseThrow(), fuchsia, 5 + i, TODAY, TODAY))))
                .isEmpty();
        assertThat(in(() -> book.open()))
                .extracting(e -> e.batch().code())
                .hasSize(WRITERS)
                .doesNotHaveDuplicates();
    }

    @Test
    void allToOneBatchWithWhatTheySawOneIsKeptAndTheOthersAreShownBothSides() throws Exception {
        BatchView batch = running(12, 30);
        List<Exception> refused = atOnce(i -> batches.look(
                batch.code(),
                LookCommand.ofPieces(
                        UUID.randomUUID(),
                        TODAY,
                        LookKind.LIFTED,
                        List.of(Growing.seen(i + 1, PieceState.READY)),
                        null,
                        batch.changes())));

        assertThat(refused)
                .hasSize(WRITERS - 1)
                .allSatisfy(e -> assertThat(e).isInstanceOf(Clash.class).hasMessageContaining("1 of 12 ready"));
        assertThat(in(() -> batches.find(batch.code())).counts().ready()).isOne();
    }

    @Test
    void allToOneBatchPieceByPieceEveryPieceIsKept() throws Exception {
        BatchView batch = running(12, 30);
        assertThat(atOnce(i -> batches.look(
                        batch.code(),
                        LookCommand.ofPieces(
                                UUID.randomUUID(),
                                TODAY,
                                LookKind.LIFTED,
                                List.of(Growing.seen(i + 1, PieceState.READY)),
                                null,
                                null))))
                .isEmpty();
        assertThat(in(() -> batches.find(batch.code())).counts().ready()).isEqualTo(WRITERS);
    }

    @Test
    void theSameLookSentEightTimesIsOneLook() throws Exception {
        BatchView batch = running(12, 30);
        LookCommand look = Growing.count(TODAY, 3, 0);
        assertThat(atOnce(i -> batches.look(batch.code(), look))).isEmpty();
        assertThat(in(() -> book.looks(batch.code()).checks())).hasSize(1);
    }

    @Test
    void allNameTheSameNewPlaceAndItIsMadeOnce() throws Exception {
        assertThat(atOnce(i -> stock.placeNamed("Cold frame", Climate.COLD))).isEmpty();
        assertThat(in(() -> stock.places()))
                .filteredOn(p -> p.name().equals("Cold frame"))
                .hasSize(1);
    }

    /** Lets eight do something at the same moment, each in a thread of its own; what was refused comes back. */
    private List<Exception> atOnce(IntFunction<Object> work) throws Exception {
        ExecutorService people = Executors.newFixedThreadPool(WRITERS);
        CyclicBarrier start = new CyclicBarrier(WRITERS);
        try {
            List<Callable<Object>> all = IntStream.range(0, WRITERS)
                    .<Callable<Object>>mapToObj(i -> () -> {
                        start.await();
                        return in(() -> work.apply(i));
                    })
                    .toList();
            List<Exception> refused = new ArrayList<>();
            for (Future<Object> done : people.invokeAll(all)) {
                try {
                    done.get();
                } catch (ExecutionException e) {
                    refused.add((Exception) e.getCause());
                }
            }
            return refused;
        } finally {
            people.shutdownNow();
        }
    }
}
