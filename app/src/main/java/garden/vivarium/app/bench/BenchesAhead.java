package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchJudged;
import garden.vivarium.app.platform.Ahead;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/** After a look the row of its batch is reckoned before the round is opened again. */
@Component
class BenchesAhead {

    private final Ahead ahead;
    private final Benches benches;

    BenchesAhead(Ahead ahead, Benches benches) {
        this.ahead = ahead;
        this.benches = benches;
    }

    @TransactionalEventListener
    public void told(BatchJudged judged) {
        if (judged.life() == BatchJudged.Life.RUNNING) {
            ahead.soon("row of " + judged.batch(), () -> benches.reckon(judged.batch()));
        }
    }
}
