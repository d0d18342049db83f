package garden.vivarium.app.bench;

import garden.vivarium.app.batch.BatchJudged;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.Ahead;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/** After a look the row of its batch is reckoned before the round is opened again; after a start, all rows of nurseries that are at work. */
@Component
class BenchesAhead {

    private final Ahead ahead;
    private final Benches benches;
    private final Evidence evidence;

    BenchesAhead(Ahead ahead, Benches benches, Evidence evidence) {
        this.ahead = ahead;
        this.benches = benches;
        this.evidence = evidence;
    }

    @TransactionalEventListener
    public void told(BatchJudged judged) {
        if (judged.life() == BatchJudged.Life.RUNNING) {
            ahead.soon("row of " + judged.batch(), () -> benches.reckon(judged.batch()));
        }
    }

    @EventListener
    public void started(ApplicationReadyEvent now) {
        evidence.atWork().forEach(of -> ahead.soon(of, "benches", benches::open));
    }
}
