package garden.vivarium.app.technique;

import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.compare.FinishedBatch;
import garden.vivarium.core.compare.WhatToDo;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What to do differently, reckoned once a quarter, and again when what was over before it is corrected. */
@Service
class Advising {

    private final JudgedBatches judged;
    private final Evidence evidence;
    private final CurrentNursery nursery;
    private final Today today;
    private final Map<UUID, Held> held = new ConcurrentHashMap<>();

    Advising(JudgedBatches judged, Evidence evidence, CurrentNursery nursery, Today today) {
        this.judged = judged;
        this.evidence = evidence;
        this.nursery = nursery;
        this.today = today;
    }

    private record Held(LocalDate asOf, List<FinishedBatch> all, List<FinishedBatch> then, WhatToDo said) {}

    /** What the record says should change. */
    @Transactional(readOnly = true)
    WhatToDo now() {
        LocalDate asOf = WhatToDo.quarter(today.date());
        List<FinishedBatch> all = judged.all();
        Held before = held.get(nursery.required());
        if (before != null && before.asOf().equals(asOf) && before.all() == all) {
            return before.said();
        }
        List<FinishedBatch> then =
                all.stream().filter(b -> b.overOn().isBefore(asOf)).toList();
        if (before != null && before.asOf().equals(asOf) && isSame(before.then(), then)) {
            held.put(nursery.required(), new Held(asOf, all, then, before.said()));
            return before.said();
        }
        WhatToDo said = WhatToDo.of(then, evidence.record().spread().rho(), today.date());
        held.put(nursery.required(), new Held(asOf, all, then, said));
        return said;
    }

    /** Whether both are the same batches, one by one. */
    static boolean isSame(List<FinishedBatch> one, List<FinishedBatch> other) {
        if (one == other) {
            return true;
        }
        if (one.size() != other.size()) {
            return false;
        }
        for (int i = 0; i < one.size(); i++) {
            if (one.get(i) != other.get(i)) {
                return false;
            }
        }
        return true;
    }

    @EventListener
    public void returned(NurseryReturned back) {
        held.remove(back.nursery());
    }
}
