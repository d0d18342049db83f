package garden.vivarium.app.technique;

import garden.vivarium.app.batch.BatchJudged;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.Ahead;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/** Where Technique is read, what a look changes in it is reckoned before it is read again; after a start, what it begins with. */
@Component
class TechniqueAhead {

    private final Ahead ahead;
    private final Technique technique;
    private final Evidence evidence;

    TechniqueAhead(Ahead ahead, Technique technique, Evidence evidence) {
        this.ahead = ahead;
        this.technique = technique;
        this.evidence = evidence;
    }

    @TransactionalEventListener
    public void told(BatchJudged judged) {
        ahead.soon("Technique", technique::reckon);
    }

    @EventListener
    public void started(ApplicationReadyEvent now) {
        evidence.atWork().forEach(of -> ahead.soon(of, "Technique", technique::begin));
    }
}
