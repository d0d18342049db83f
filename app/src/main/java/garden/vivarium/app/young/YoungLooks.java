package garden.vivarium.app.young;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.batch.YoungPlants;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.measure.Length;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Looks at young plants, what they measure, and what they have come to. */
@Service
public class YoungLooks {

    private static final int TALLEST_MM = 5000;
    private static final int MOST_LEAVES = 2000;

    private final YoungLookRepository looks;
    private final YoungMeasureRepository measures;
    private final YoungMarkRepository marks;
    private final YoungPlants plants;
    private final BatchBook batches;
    private final Stock stock;
    private final SettlingRecord settling;
    private final CurrentNursery nursery;
    private final Today today;
    private final Words words;

    YoungLooks(
            YoungLookRepository looks,
            YoungMeasureRepository measures,
            YoungMarkRepository marks,
            YoungPlants plants,
            BatchBook batches,
            Stock stock,
            SettlingRecord settling,
            CurrentNursery nursery,
            Today today,
            Words words) {
        this.looks = looks;
        this.measures = measures;
        this.marks = marks;
        this.plants = plants;
        this.batches = batches;
        this.stock = stock;
        this.settling = settling;
        this.nursery = nursery;
        this.today = today;
        this.words = words;
    }

    private PottingView move(BatchView batch, UUID id) {
        return batches.potting(id)
                .filter(p -> p.batchId().equals(batch.id()))
                .orElseThrow(() -> new NotFound(Messages.text("YoungLooks.no.such.move")));
    }

    /** The page of a move. */
    @Transactional(readOnly = true)
    YoungSheet sheet(String code, UUID id) {
        BatchBook.Entry entry = batches.entry(code);
        BatchView batch = entry.batch();
        PottingView move = move(batch, id);
        UUID place = move.stands().placeId() == null
                ? batch.placeId()
                : move.stands().placeId();
        List<YoungSheet.Looked> looked = looks.findByPottingIdOrderBySeenOnAscNotedAtAsc(id).stream()
                .map(l -> new YoungSheet.Looked(l.getId(), l.seen(), l.settles(), l.isWithdrawn(), l.personName()))
                .collect(Collectors.toList());
        Collections.reverse(looked);
        return new YoungSheet(
                batch,
                move,
                stock.places().stream()
                        .filter(p -> p.id().equals(place))
                        .map(PlaceView::name)
                        .findFirst()
                        .orElse(""),
                move.movedOn().plusDays(Math.max(1, entry.outlook().settleDays())),
                looked,
                measures.findByPottingIdOrderByMeasuredOn(id).stream()
                        .map(YoungMeasure::view)
                        .toList(),
                marks.findByPottingIdOrderByReachedOn(id).stream()
                        .map(m -> new YoungSheet.Marked(
                                m.getId(),
                                m.mark(),
                                m.reachedOn(),
                                ChronoUnit.DAYS.between(move.movedOn(), m.reachedOn()),
                                m.plants(),
                                m.personName()))
                        .toList(),
                settling.of(batch.way()),
                settling.milestones(batch.way()));
    }

    /**
     * Writes a look down. Where all that stand hold or grow, they have settled on that day.
     *
     * @throws InvalidField if more are seen than stand, or the day cannot be
     */
    @Transactional
    boolean look(String code, UUID id, YoungSeen seen) {
        BatchView batch = batches.entry(code).batch();
        PottingView move = move(batch, id);
        refuseDay("seenOn", seen.day(), move);
        if (Stream.of(seen.holds(), seen.growing(), seen.wobbles(), seen.hanging(), seen.lost())
                .anyMatch(n -> n < 0)) {
            throw new InvalidField("holds", Messages.text("YoungLooks.below"));
        }
        if (seen.all() == 0 && seen.note() == null) {
            throw new InvalidField("holds", Messages.text("YoungLooks.nothing"));
        }
        if (seen.all() > move.standing()) {
            throw new InvalidField(
                    "holds", Messages.text("YoungLooks.many", "seen", seen.all(), "standing", move.standing()));
        }
        boolean othersHold = seen.settled() > 0 && seen.settled() == move.standing() - seen.lost();
        YoungPlants.Changed changed = plants.look(code, id, seen.day(), seen.lost(), seen.cause(), othersHold);
        YoungLook look = new YoungLook(batch.id(), id, seen);
        look.changed(changed, person(), today.now());
        looks.save(look);
        return changed.settles();
    }

    private void refuseDay(String field, LocalDate day, PottingView move) {
        today.refuseFuture(field, day);
        if (day.isBefore(move.movedOn())) {
            throw new InvalidField(field, Messages.text("YoungLooks.before", "day", move.movedOn()));
        }
    }

    /** Takes a look back: what it lost stands again, and what it settled is not settled. */
    @Transactional
    public void takeBack(String code, UUID id) {
        YoungLook look = looks.findById(id).orElseThrow(() -> new NotFound(Messages.text("YoungLooks.no.such.look")));
        if (look.isWithdrawn()) {
            return;
        }
        List<YoungLook> standing = looks.findByPottingIdOrderBySeenOnAscNotedAtAsc(look.pottingId()).stream()
                .filter(l -> !l.isWithdrawn())
                .toList();
        // A look that settled the move saw all that stood hold; with plants back that nobody saw, it did not.
        boolean lostBefore = look.seen().lost() > 0 && !look.lostSettled();
        boolean unsettle = look.settles() || (lostBefore && standing.stream().anyMatch(YoungLook::settles));
        plants.takeBack(code, look.pottingId(), look.seen().lost(), look.lostSettled(), unsettle);
        look.withdraw();
        if (unsettle) {
            standing.forEach(YoungLook::unsettled);
        }
    }

    /**
     * Writes down what a usual plant measures.
     *
     * @param heightMm null where it was not measured, like the others
     * @throws InvalidField if nothing was measured, or it cannot be
     */
    @Transactional
    public void measure(String code, UUID id, LocalDate day, Integer heightMm, Integer spreadMm, Integer leaves) {
        BatchView batch = batches.entry(code).batch();
        refuseDay("measuredOn", day, move(batch, id));
        if (Stream.of(heightMm, spreadMm, leaves).allMatch(Objects::isNull)) {
            throw new InvalidField("height", Messages.text("YoungLooks.measure.nothing"));
        }
        refuse("height", heightMm, TALLEST_MM, Length.ofMillimetres(TALLEST_MM).inCentimetres());
        refuse("spread", spreadMm, TALLEST_MM, Length.ofMillimetres(TALLEST_MM).inCentimetres());
        refuse("leaves", leaves, MOST_LEAVES, MOST_LEAVES);
        YoungMeasure measure = new YoungMeasure(batch.id(), id, day, person());
        measure.measures(heightMm, spreadMm, leaves);
        measures.save(measure);
    }

    private void refuse(String field, Integer value, int most, Object said) {
        if (value != null && (value < 0 || value > most)) {
            throw new InvalidField(field, words.say("YoungLooks.measure", "most", said));
        }
    }

    /**
     * So many have come to something.
     *
     * @throws InvalidField if more than were set up, or the day cannot be
     */
    @Transactional
    void mark(String code, UUID id, YoungMark.Mark mark, LocalDate day, int number) {
        BatchView batch = batches.entry(code).batch();
        PottingView move = move(batch, id);
        refuseDay("reachedOn", day, move);
        int before = marks.findByPottingIdOrderByReachedOn(id).stream()
                .filter(m -> m.mark() == mark)
                .mapToInt(YoungMark::plants)
                .sum();
        int able = move.youngPlants() - before;
        if (number < 1 || number > able) {
            throw new InvalidField("plants", Messages.text("YoungLooks.mark", "able", able, "mark", mark.words()));
        }
        marks.save(new YoungMark(batch.id(), id, mark, day, number, person()));
    }

    /** Takes a measure or a mark away that was not so. */
    @Transactional
    public void remove(UUID id) {
        measures.findById(id).ifPresent(measures::delete);
        marks.findById(id).ifPresent(marks::delete);
    }

    /** The last day since then on which leaves hung, by move; without those of which a later look saw none hang. */
    @Transactional(readOnly = true)
    public Map<UUID, LocalDate> hung(Collection<UUID> moves, LocalDate since) {
        Map<UUID, LocalDate> hung = new HashMap<>();
        if (!moves.isEmpty()) {
            looks.since(moves, since).forEach(l -> {
                if (l.seen().hanging() > 0) {
                    hung.put(l.pottingId(), l.seen().day());
                } else {
                    hung.remove(l.pottingId());
                }
            });
        }
        return hung;
    }

    /** How high a usual plant of each move stood when it was measured last, in mm; without moves of which nobody measured it. */
    @Transactional(readOnly = true)
    public Map<UUID, Integer> heights(Collection<UUID> moves) {
        Map<UUID, Integer> last = new HashMap<>();
        if (!moves.isEmpty()) {
            measures.findByPottingIdInAndHeightMmNotNullOrderByMeasuredOn(moves)
                    .forEach(m -> last.put(m.pottingId(), m.heightMm()));
        }
        return last;
    }

    private String person() {
        return nursery.person().map(SignedIn::name).orElse("Vivarium");
    }
}
