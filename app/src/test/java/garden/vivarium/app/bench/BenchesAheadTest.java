package garden.vivarium.app.bench;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;

import garden.vivarium.app.batch.BatchJudged;
import garden.vivarium.app.platform.Ahead;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class BenchesAheadTest {

    private final Ahead ahead = mock(Ahead.class);
    private final Benches benches = mock(Benches.class);
    private final BenchesAhead told = new BenchesAhead(ahead, benches);

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
    void ofWhatIsOverOrAsleepNothingIsAskedOnTheNextRound() {
        told.told(new BatchJudged(UUID.randomUUID(), null, BatchJudged.Life.OVER, false));
        told.told(new BatchJudged(UUID.randomUUID(), null, BatchJudged.Life.ASLEEP, true));

        verifyNoInteractions(ahead, benches);
    }
}
