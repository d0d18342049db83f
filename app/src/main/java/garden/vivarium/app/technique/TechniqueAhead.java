package garden.vivarium.app.technique;

import garden.vivarium.app.batch.BatchJudged;
import garden.vivarium.app.platform.Ahead;
import org.springframework.stereotype.Component;
import org.springframework.transaction.event.TransactionalEventListener;

/** Where Technique is read, what a look changes in it is reckoned before it is read again. */
@Component
class TechniqueAhead {

    private final Ahead ahead;
    private final Technique technique;

    TechniqueAhead(Ahead ahead, Technique technique) {
        this.ahead = ahead;
        this.technique = technique;
    }

    @TransactionalEventListener
    public void told(BatchJudged judged) {
        ahead.soon("Technique", technique::reckon);
    }
}
