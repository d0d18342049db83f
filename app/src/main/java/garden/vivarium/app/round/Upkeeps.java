package garden.vivarium.app.round;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.batch.Whereabouts;
import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.needs.Stores;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.round.Item.CareTask;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.young.YoungLooks;
import garden.vivarium.core.guide.CareAct;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.guide.Upkeep;
import garden.vivarium.core.measure.Pot;
import garden.vivarium.core.measure.Volume;
import garden.vivarium.core.plan.CutBack;
import garden.vivarium.core.plan.Feeding;
import garden.vivarium.core.plan.Weaning;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What is done again and again: fresh water while pieces stand in it, the first water and feed of young plants. */
@Component
class Upkeeps {

    /** Young plants that are not weaned by then stand in the open already. */
    private static final int WEANED_FOR = 28;
    /** Older than this nothing is asked that nobody wrote down. */
    private static final int LOOKED_BACK = 200;
    /** Young plants of batches that ended before that have had their first feed, or do without. */
    private static final int MOVED_SINCE = 110;
    /** So long after its day the first water or feed is asked for; then it has been given, or is not missed. */
    private static final int ASKED_FOR = 21;

    private final CareBook care;
    private final BatchBook book;
    private final YoungLooks young;
    private final Whereabouts whereabouts;
    private final GuideLookup lookup;
    private final Guide guide;
    private final People people;
    private final Stores stores;
    private final Says says;
    private final Words words;

    Upkeeps(
            CareBook care,
            BatchBook book,
            YoungLooks young,
            Whereabouts whereabouts,
            GuideLookup lookup,
            Guide guide,
            People people,
            Stores stores,
            Says says,
            Words words) {
        this.care = care;
        this.book = book;
        this.young = young;
        this.whereabouts = whereabouts;
        this.lookup = lookup;
        this.guide = guide;
        this.people = people;
        this.stores = stores;
        this.says = says;
        this.words = words;
    }

    /** What is due on the day. */
    List<CareTask> of(LocalDate day, List<Benches.Row> open, Map<UUID, PlaceView> places) {
        Done done = new Done(care.lastDone(day.minusDays(LOOKED_BACK)));
        List<CareTask> due = new ArrayList<>();
        Map<UUID, List<BatchView>> vessels = new HashMap<>();
        whereabouts.vessels().values().forEach(all -> all.forEach(b -> vessels.put(b.id(), all)));
        Set<UUID> asked = new HashSet<>();
        open.forEach(r -> medium(r, done, day)
                .filter(t -> asked.add(t.batch().id()))
                .map(t -> forAll(t, vessels.get(t.batch().id()), asked))
                .ifPresent(due::add));
        List<BatchView> giving = book.gaveSince(day.minusDays(MOVED_SINCE)).stream()
                .filter(b -> places.containsKey(b.placeId()))
                .toList();
        Map<UUID, List<PottingView>> moves = book.moves(giving);
        Map<UUID, LocalDate> hung = young.hung(
                moves.values().stream()
                        .flatMap(List::stream)
                        .map(PottingView::id)
                        .toList(),
                day.minusDays(WEANED_FOR));
        Map<UUID, Integer> heights = young.heights(moves.values().stream()
                .flatMap(List::stream)
                .filter(m -> m.settled() != null && m.standing() > 0)
                .map(PottingView::id)
                .toList());
        open.forEach(r -> uncover(r, done, day).ifPresent(due::add));
        giving.forEach(b -> moves.getOrDefault(b.id(), List.of()).forEach(m -> {
            PlaceView place = places.getOrDefault(m.stands().placeId(), places.get(b.placeId()));
            due.addAll(young(b, m, place, done, day));
            nextFeed(b, m, place, done, day).ifPresent(due::add);
            wean(b, m, place, done, day, Optional.ofNullable(hung.get(m.id()))).ifPresent(due::add);
            cutBack(b, m, place, done, heights.get(m.id())).ifPresent(due::add);
        }));
        return due;
    }

    /** What one vessel asks for is asked once. */
    private CareTask forAll(CareTask task, List<BatchView> sharing, Set<UUID> asked) {
        if (sharing == null) {
            return task;
        }
        sharing.forEach(b -> asked.add(b.id()));
        String codes = sharing.stream().map(BatchView::code).collect(Collectors.joining(", "));
        return new CareTask(
                task.place(),
                task.batch(),
                task.act(),
                task.about(),
                words.say("round.vessel", "what", task.what(), "codes", codes),
                task.why(),
                task.pressing());
    }

    /** Young plants that are tall enough branch when they are cut back. */
    private Optional<CareTask> cutBack(BatchView b, PottingView move, PlaceView place, Done done, Integer heightMm) {
        if (heightMm == null || done.ofMove(move.id(), CareAct.CUT_BACK)) {
            return Optional.empty();
        }
        return CutBack.due(b.way().group(), heightMm)
                .map(why -> new CareTask(
                        place,
                        b,
                        CareAct.CUT_BACK,
                        move.id(),
                        words.say("round.cut.back", "plants", move.standing()),
                        words.of(why),
                        false));
    }

    /** The next step out of humid air while most that are rooted wait to be potted still. */
    private Optional<CareTask> uncover(Benches.Row row, Done done, LocalDate day) {
        BatchView b = row.batch();
        if (!b.isStuck() || b.readyToMove() == 0 || !isUnderCover(b)) {
            return Optional.empty();
        }
        int living = b.readyToMove() + b.counts().pending();
        return Weaning.beforePotting(
                        b.readyToMove(),
                        living,
                        b.earliestReady(),
                        done.times(b.id(), CareAct.AIRED),
                        done.lastOfMove(b.id(), CareAct.AIRED).filter(d -> !d.isBefore(b.earliestReady())))
                .filter(d -> !day.isBefore(d.due()))
                .map(d -> new CareTask(
                        row.place(),
                        b,
                        CareAct.AIRED,
                        b.id(),
                        words.say("round.uncover", "step", words.of(d.step()), "plants", living),
                        words.of(d.why()),
                        false));
    }

    private boolean isUnderCover(BatchView b) {
        return lookup.protocol(b.protocol(), b.protocolVersion(), b.way())
                .filter(p -> Weaning.isHumid(p.keeping().air().cover()))
                .isPresent();
    }

    /** The next step out of humid air, for young plants that rooted under a cover. */
    private Optional<CareTask> wean(
            BatchView b, PottingView move, PlaceView place, Done done, LocalDate day, Optional<LocalDate> hungOn) {
        if (!isUnderCover(b)
                || move.standing() == 0
                || move.settled() != null
                || day.isAfter(move.movedOn().plusDays(WEANED_FOR))) {
            return Optional.empty();
        }
        // What was opened before they were potted is open.
        boolean before = done.times(b.id(), CareAct.AIRED) > done.times(move.id(), CareAct.AIRED);
        UUID opened = before ? b.id() : move.id();
        return Weaning.next(
                        move.movedOn(),
                        done.times(opened, CareAct.AIRED),
                        done.lastOfMove(opened, CareAct.AIRED),
                        hungOn)
                .filter(d -> !day.isBefore(d.due()))
                .map(d -> new CareTask(
                        place,
                        b,
                        CareAct.AIRED,
                        move.id(),
                        words.say("round.wean", "step", words.of(d.step()), "plants", move.standing()),
                        words.of(d.why()),
                        false));
    }

    private Optional<CareTask> medium(Benches.Row row, Done done, LocalDate day) {
        BatchView b = row.batch();
        if (!b.isStuck() || b.counts().pending() + b.readyToMove() == 0) {
            return Optional.empty();
        }
        return guide.upkeep(b.way().medium()).flatMap(u -> {
            LocalDate last = done.last(b.id(), u.act()).orElse(b.stuckOn());
            LocalDate due = u.due(last);
            if (day.isBefore(due)) {
                return Optional.empty();
            }
            return Optional.of(new CareTask(
                    row.place(),
                    b,
                    u.act(),
                    null,
                    why(u, done.last(b.id(), u.act()).isPresent(), last),
                    done.last(b.id(), u.act()).isPresent() && day.isAfter(due.plusDays(u.every()))));
        });
    }

    private String why(Upkeep upkeep, boolean written, LocalDate last) {
        return words.say(
                "round.upkeep.why", "why", upkeep.why(), "every", upkeep.every(), "last", last, "written", written);
    }

    private List<CareTask> young(BatchView b, PottingView move, PlaceView place, Done done, LocalDate day) {
        Optional<Protocol.Potting> potting =
                lookup.protocol(b.protocol(), b.protocolVersion(), b.way()).map(Protocol::potting);
        if (move.standing() == 0) {
            return List.of();
        }
        List<CareTask> due = new ArrayList<>();
        boolean said = move.stands().perPot() != null;
        LocalDate water = said
                ? move.stands().waterOn()
                : potting.filter(p -> p.waitForWater() > 0)
                        .map(p -> move.movedOn().plusDays(p.waitForWater()))
                        .orElse(null);
        LocalDate feed = said
                ? move.stands().feedOn()
                : potting.filter(p -> p.weeksBeforeFeed() > 0)
                        .map(p -> move.movedOn().plusWeeks(p.weeksBeforeFeed()))
                        .orElse(null);
        if (water != null) {
            first(CareAct.WATERED, water, b, move, place, done, day).ifPresent(due::add);
        }
        if (feed != null) {
            first(CareAct.FED, feed, b, move, place, done, day).ifPresent(due::add);
        }
        return due;
    }

    /** After the first feed the next ones, as strong and as often as their kind wants, while days are long. */
    private Optional<CareTask> nextFeed(BatchView b, PottingView move, PlaceView place, Done done, LocalDate day) {
        Optional<LocalDate> last = Stream.of(
                        done.lastOfMove(move.id(), CareAct.FED),
                        done.last(b.id(), CareAct.FED).filter(d -> !d.isBefore(move.movedOn())))
                .flatMap(Optional::stream)
                .max(Comparator.naturalOrder());
        if (last.isEmpty() || move.standing() == 0) {
            return Optional.empty();
        }
        return Feeding.of(b.way().group(), day, people.hemisphere())
                .filter(f -> !day.isBefore(last.get().plusDays(f.everyDays())))
                .map(f -> new CareTask(
                        place,
                        b,
                        CareAct.FED,
                        move.id(),
                        words.say(
                                "round.feed",
                                "quarter",
                                f.share() < 0.5,
                                "plants",
                                move.standing(),
                                "amount",
                                amount(move)),
                        words.say("round.feed.why", "last", last.get(), "every", f.everyDays()),
                        false));
    }

    /** About how much they take, and of which can; empty where nobody said what they stand in. */
    private String amount(PottingView move) {
        if (move.stands().acrossMm() == null) {
            return "";
        }
        double litres = Feeding.litres(
                move.standing(), Pot.across(move.stands().acrossMm() / 10.0).litres());
        return stores.cans().stream()
                .filter(can -> can <= 4 * litres)
                .max(Comparator.naturalOrder())
                .map(can -> words.say(
                        "round.feed.cans",
                        "volume",
                        Volume.ofLitres(litres).roughly(),
                        "cans",
                        says.rough(Math.max(0.25, Math.round(4 * litres / can) / 4.0)),
                        "can",
                        Volume.ofLitres(can)))
                .orElseGet(() -> words.say(
                        "round.feed.litres", "volume", Volume.ofLitres(litres).roughly()));
    }

    private Optional<CareTask> first(
            CareAct act, LocalDate from, BatchView b, PottingView move, PlaceView place, Done done, LocalDate day) {
        boolean asked = !day.isBefore(from)
                && !day.isAfter(from.plusDays(ASKED_FOR))
                && !done.ofMove(move.id(), act)
                && done.last(b.id(), act)
                        .filter(on -> !on.isBefore(move.movedOn()))
                        .isEmpty();
        return asked
                ? Optional.of(new CareTask(
                        place,
                        b,
                        act,
                        move.id(),
                        words.say(
                                act == CareAct.FED ? "round.first.feed.why" : "round.first.water.why",
                                "plants",
                                move.standing(),
                                "on",
                                move.movedOn(),
                                "from",
                                from),
                        act == CareAct.WATERED && day.isAfter(from.plusDays(2))))
                : Optional.empty();
    }

    /** When what was done last. */
    private static final class Done {

        private final Map<String, LocalDate> last = new HashMap<>();
        private final Map<String, Integer> times = new HashMap<>();

        Done(Collection<CareBook.LastDone> all) {
            for (CareBook.LastDone l : all) {
                last.merge(l.subject() + " " + l.act(), l.on(), (a, b) -> a.isAfter(b) ? a : b);
                if (l.about() != null) {
                    last.put(l.about() + " " + l.act(), l.on());
                    times.put(l.about() + " " + l.act(), l.times());
                }
            }
        }

        Optional<LocalDate> last(UUID batch, CareAct act) {
            return Optional.ofNullable(last.get(batch + " " + act));
        }

        Optional<LocalDate> lastOfMove(UUID move, CareAct act) {
            return Optional.ofNullable(last.get(move + " " + act));
        }

        int times(UUID move, CareAct act) {
            return times.getOrDefault(move + " " + act, 0);
        }

        boolean ofMove(UUID move, CareAct act) {
            return last.containsKey(move + " " + act);
        }
    }
}
