package garden.vivarium.app.bench;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.BDDMockito.given;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;

import garden.vivarium.app.batch.BatchJudged;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.Ahead;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class BenchesAheadTest {

    private final Ahead ahead = mock(Ahead.class);
    private final Benches benches = mock(Benches.class);
    private final Evidence evidence = mock(Evidence.class);
    private final BenchesAhead told = new BenchesAhead(ahead, benches, evidence);

    @Test
    void theRowOfABatchThatRunsIsReckonedBeforeItIsAskedFor() {
        doAnswer(call -> {
                    call.getArgument(1, Runnable.class).run();
                    return null;
                })
                .when(ahead)
                .soon(any(), any());
        UUID batch = UUID.randomUUID();

        told.told(new BatchJudged(batch, null, BatchJudged.Life.RUNNING, false));

        verify(benches).reckon(batch);
    }

    @Test
    void afterAStartTheRowsOfNurseriesAtWorkAreReckoned() {
        UUID nursery = UUID.randomUUID();
        given(evidence.atWork()).willReturn(List.of(nursery));
        doAnswer(call -> {
                    call.getArgument(2, Runnable.class).run();
                    return null;
                })
                .when(ahead)
                .soon(eq(nursery), any(), any());

        told.started(null);

        verify(benches).open();
    }

    @Test
    void ofWhatIsOverOrAsleepNothingIsAskedOnTheNextRound() {
        told.told(new BatchJudged(UUID.randomUUID(), null, BatchJudged.Life.OVER, false));
        told.told(new BatchJudged(UUID.randomUUID(), null, BatchJudged.Life.ASLEEP, true));

        verifyNoInteractions(ahead, benches);
    }
}
