package garden.vivarium.app.batch;

import garden.vivarium.core.Grown;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.watch.GiveUp;
import java.util.Optional;

/** What this nursery's record foretells. Batches ask it when they are made and given up; who keeps the record answers. */
public interface Prognosis {

    /** What is to be expected of a new batch of a plant by a protocol. */
    Outlook outlook(Protocol protocol, Grown plant);

    /** Which of a running batch's pending pieces hardly ever become ready now; empty where that can be said of none. */
    Optional<GiveUp> hopeless(BatchView batch, Tallies ready);
}
