package garden.vivarium.app.technique;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.LossBook;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.compare.FinishedBatch;
import garden.vivarium.core.compare.LossEvent;
import garden.vivarium.core.compare.Losses;
import garden.vivarium.core.compare.OtherWay;
import garden.vivarium.core.compare.Outbreaks;
import garden.vivarium.core.compare.Shared;
import garden.vivarium.core.compare.Sharing;
import garden.vivarium.core.compare.TryNext;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the record of the last year shows of losses and of what batches have in common; reckoned once while nothing is written down. */
@Service
class Watched {

    /** What batches of many years share tells little of this one. */
    private static final int LATEST = 1500;

    private final LossBook losses;
    private final JudgedBatches judged;
    private final Evidence evidence;
    private final BatchBook book;
    private final CurrentNursery nursery;
    private final Today today;
    private final Map<List<Object>, Held> held = new ConcurrentHashMap<>();
    private final Map<List<Object>, HeldOf> heldOf = new ConcurrentHashMap<>();

    Watched(
            LossBook losses,
            JudgedBatches judged,
            Evidence evidence,
            BatchBook book,
            CurrentNursery nursery,
            Today today) {
        this.losses = losses;
        this.judged = judged;
        this.evidence = evidence;
        this.book = book;
        this.nursery = nursery;
        this.today = today;
    }

    private record Held(long stamp, LocalDate day, Object value) {}

    /** By nursery and name; made anew when anything was written down of a batch, or the day is another. */
    @SuppressWarnings("unchecked")
    private <T> T once(String name, Supplier<T> make) {
        UUID of = nursery.required();
        long stamp = book.stamp();
        List<Object> key = List.of(of, name);
        Held before = held.get(key);
        if (before != null && before.stamp() == stamp && before.day().equals(today.date())) {
            return (T) before.value();
        }
        T made = make.get();
        held.put(key, new Held(stamp, today.date(), made));
        return made;
    }

    private record HeldOf(List<FinishedBatch> of, LocalDate day, Object value) {}

    /** The same of finished batches: it stands while they do, whatever is seen of running ones. */
    @SuppressWarnings("unchecked")
    private <T> T onceOf(String name, List<FinishedBatch> of, Supplier<T> make) {
        List<Object> key = List.of(nursery.required(), name);
        HeldOf before = heldOf.get(key);
        if (before != null && before.day().equals(today.date()) && Advising.isSame(before.of(), of)) {
            return (T) before.value();
        }
        T made = make.get();
        heldOf.put(key, new HeldOf(of, today.date(), made));
        return made;
    }

    private LossBook.Found found() {
        return once("losses", () -> losses.since(today.date().minusYears(1)));
    }

    /** Losses of the last year, the latest first. */
    @Transactional(readOnly = true)
    List<LossEvent> events() {
        return found().losses();
    }

    /** The same summed up, of one place or way where it is named. */
    @Transactional(readOnly = true)
    Losses losses(String place, String way) {
        LossBook.Found found = found();
        return Losses.of(
                found.losses().stream()
                        .filter(l -> place.isEmpty() || l.place().equals(place))
                        .filter(l -> way.isEmpty() || l.way().equals(way))
                        .toList(),
                way.isEmpty() ? found.stuckAt() : Map.of(),
                place.isEmpty() ? found.stuckBy() : Map.of());
    }

    /** Losses that came together in the last year, the latest first. */
    @Transactional(readOnly = true)
    List<Outbreaks.Outbreak> outbreaks() {
        return once("outbreaks", () -> Outbreaks.of(found().losses(), found().looks()));
    }

    private List<FinishedBatch> latest() {
        List<FinishedBatch> all = judged.all();
        return all.subList(Math.max(0, all.size() - LATEST), all.size());
    }

    private double rho() {
        return evidence.record().spread().rho();
    }

    /** Batches alike that went opposite ways, of the last two years. */
    @Transactional(readOnly = true)
    List<OtherWay> otherWay() {
        LocalDate since = today.date().minusYears(2);
        List<FinishedBatch> of =
                latest().stream().filter(b -> b.stuckOn().isAfter(since)).toList();
        return onceOf("other way", of, () -> OtherWay.of(of, rho()));
    }

    /** What batches share. */
    @Transactional(readOnly = true)
    List<Shared> shared() {
        List<FinishedBatch> of = latest();
        return onceOf("shared", of, () -> Shared.of(of, rho()));
    }

    /** Batches, each counting as the share of itself that it has beside others with which it shares luck. */
    @Transactional(readOnly = true)
    List<FinishedBatch> allowedFor(List<FinishedBatch> batches) {
        return Sharing.of(shared()).allowedFor(batches);
    }

    /** What to try next. */
    @Transactional(readOnly = true)
    List<TryNext> next() {
        List<FinishedBatch> of = judged.all();
        return onceOf("next", of, () -> TryNext.of(of, rho(), Sharing.of(shared()), today.date()));
    }

    @EventListener
    public void returned(NurseryReturned back) {
        held.clear();
        heldOf.clear();
    }
}
