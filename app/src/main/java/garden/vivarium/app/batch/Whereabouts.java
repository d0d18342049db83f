package garden.vivarium.app.batch;

import garden.vivarium.app.platform.CorrectedFact;
import garden.vivarium.app.platform.Corrections;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Moves batches about: whole, in part, and together with another. A batch of which some pieces stand elsewhere is one batch still:
 * it has one label, one record of looks and counts once.
 */
@Service
public class Whereabouts {

    private final BatchRepository batches;
    private final BatchStandRepository stands;
    private final Stock stock;
    private final CurrentNursery nursery;
    private final BatchToChange toChange;
    private final Corrections corrections;
    private final Says says;
    private final Today today;

    Whereabouts(
            BatchRepository batches,
            BatchStandRepository stands,
            Stock stock,
            CurrentNursery nursery,
            BatchToChange toChange,
            Corrections corrections,
            Says says,
            Today today) {
        this.batches = batches;
        this.stands = stands;
        this.stock = stock;
        this.nursery = nursery;
        this.toChange = toChange;
        this.corrections = corrections;
        this.says = says;
        this.today = today;
    }

    /** Where it stood and stands, the last first. */
    @Transactional(readOnly = true)
    public List<StandView> of(UUID batch) {
        return stands.findByBatchIdOrderBySinceDescNotedAtDesc(batch).stream()
                .map(BatchStand::view)
                .toList();
    }

    /**
     * Carries a batch to another place, or some of its pieces. The place is made if it is new.
     *
     * @param pieces how many of it; null for all
     * @param cells which, in words; may be null
     * @throws InvalidField naming the field, if it cannot be
     */
    @Transactional
    public BatchView carry(String code, LocalDate day, String place, Integer pieces, String cells) {
        Batch batch = toChange.of(code);
        if (place == null || place.isBlank()) {
            throw new InvalidField("place", Messages.text("Whereabouts.say.where"));
        }
        refuseBadDay(batch, day);
        PlaceView to = stock.placeNamed(place.strip(), Climate.HEATED);
        int here = standing(batch) - apart(batch);
        if (pieces != null && (pieces < 1 || pieces > here)) {
            throw new InvalidField("pieces", Messages.text("Whereabouts.pieces", "here", here));
        }
        boolean whole = pieces == null || (pieces == here && apart(batch) == 0);
        BatchStand now =
                new BatchStand(batch, to, whole ? null : pieces, whole ? null : said(cells), day, who(), today.now());
        if (whole) {
            stands.findByBatchIdOrderBySinceDescNotedAtDesc(batch.getId()).stream()
                    .filter(s -> s.view().until() == null)
                    .forEach(s -> s.ends(day, now.getId()));
            batch.carried(to.id());
        } else {
            batch.touched();
        }
        stands.save(now);
        return batch.view();
    }

    /** Puts a part back to the rest. */
    @Transactional
    public BatchView rejoin(String code, UUID part, LocalDate day) {
        Batch batch = toChange.of(code);
        refuseBadDay(batch, day);
        stand(batch, part, BatchStand::isPart).ends(day, null);
        batch.touched();
        return batch.view();
    }

    private BatchStand stand(Batch batch, UUID id, Predicate<BatchStand> which) {
        return stands.findByBatchIdOrderBySinceDescNotedAtDesc(batch.getId()).stream()
                .filter(s -> s.getId().equals(id))
                .filter(which)
                .findFirst()
                .orElseThrow(() -> new NotFound(Messages.text("Whereabouts.no.such.part")));
    }

    /**
     * It was carried on another day, elsewhere, or not so many.
     *
     * @param pieces of a part, how many; without meaning where all of it was carried
     * @param why in a word, or null
     * @throws InvalidField naming the field, if it cannot be
     */
    @Transactional
    public BatchView correct(
            String code, UUID id, LocalDate day, String place, Integer pieces, String cells, String why) {
        Batch batch = toChange.of(code);
        BatchStand stand = stand(batch, id, s -> true);
        refuseBadDay(batch, day);
        StandView was = stand.view();
        if (was.until() != null && day.isAfter(was.until())) {
            throw new InvalidField("day", Messages.text("Whereabouts.left", "until", was.until()));
        }
        if (place == null || place.isBlank()) {
            throw new InvalidField("place", Messages.text("Whereabouts.say.where"));
        }
        int able = standing(batch) - apart(batch) + (stand.isPart() ? stand.pieces() : 0);
        if (!stand.isWhole() && (pieces == null || pieces < 1 || pieces > Math.max(able, stand.pieces()))) {
            throw new InvalidField("pieces", Messages.text("Whereabouts.pieces", "here", able));
        }
        PlaceView to = stock.placeNamed(place.strip(), Climate.HEATED);
        stand.correct(day, to, stand.isWhole() ? null : pieces, stand.isWhole() ? null : said(cells));
        StandView now = stand.view();
        String which = Messages.text("Whereabouts.carrying", "day", says.day(was.since()));
        corrections.keep(
                batch.getId(),
                List.of(
                        fact(which, "day", says.day(was.since()), says.day(now.since())),
                        fact(which, "place", was.place(), now.place()),
                        fact(which, "pieces", said(was), said(now)),
                        fact(which, "cells", was.cells(), now.cells())),
                why);
        if (stand.isWhole() && now.until() == null) {
            batch.carried(to.id());
        } else {
            batch.touched();
        }
        return batch.view();
    }

    /**
     * It was not carried at all: it stands where it stood.
     *
     * @param why in a word, or null
     * @throws InvalidField if nobody wrote down where that was
     */
    @Transactional
    public BatchView takeBack(String code, UUID id, String why) {
        Batch batch = toChange.of(code);
        BatchStand stand = stand(batch, id, s -> true);
        StandView was = stand.view();
        if (stand.isWhole() && was.until() == null) {
            if (stand.fromPlaceId() == null) {
                throw new InvalidField("place", Messages.text("Whereabouts.nobody.knows"));
            }
            batch.carried(stand.fromPlaceId());
        } else {
            batch.touched();
        }
        for (BatchStand other : stands.findByBatchIdOrderBySinceDescNotedAtDesc(batch.getId())) {
            if (other.wasEndedBy(id)) {
                other.endsLike(stand);
            }
            if (stand.isWhole() && stand.wasEndedBy(other.getId())) {
                other.cameFrom(stand.fromPlaceId());
            }
        }
        corrections.keep(
                batch.getId(),
                List.of(fact(
                        Messages.text("Whereabouts.carrying", "day", says.day(was.since())),
                        "place",
                        was.place(),
                        Messages.text("Whereabouts.taken.back"))),
                why);
        stands.delete(stand);
        return batch.view();
    }

    private static CorrectedFact fact(String which, String what, String was, String now) {
        return new CorrectedFact(which + ", " + what, was, now);
    }

    private static String said(StandView stand) {
        return stand.pieces() == null ? "" : String.valueOf(stand.pieces());
    }

    /**
     * Puts two batches into one vessel, of one plant or of two. Each keeps its label and its record: they share water and care, and are
     * counted apart.
     *
     * @throws InvalidField if the other is not known, or is itself
     */
    @Transactional
    public BatchView together(String code, String other) {
        Batch batch = toChange.of(code);
        Batch with = batches.findToChange(other == null ? "" : other.strip().toUpperCase(Locale.ROOT))
                .or(() -> batches.findToChange(other == null ? "" : other.strip()))
                .orElseThrow(() -> new InvalidField(
                        "other", Messages.text("Whereabouts.no.such", "other", String.valueOf(other))));
        if (with.getId().equals(batch.getId())) {
            throw new InvalidField("other", Messages.text("Whereabouts.itself", "code", code));
        }
        batch.standsWith(with);
        return batch.view();
    }

    /** Takes a batch out of the vessel that it shared. */
    @Transactional
    public BatchView apart(String code) {
        Batch batch = toChange.of(code);
        batch.standsAlone();
        return batch.view();
    }

    /** Codes of the batches that stand in one vessel with it. */
    @Transactional(readOnly = true)
    public List<String> with(String code) {
        return batches.findByCode(code).stream()
                .filter(b -> b.together() != null)
                .flatMap(b -> batches.findByTogether(b.together()).stream())
                .map(Batch::code)
                .filter(c -> !c.equals(code))
                .sorted()
                .toList();
    }

    /** Running batches that share a vessel with others, by the vessel. */
    @Transactional(readOnly = true)
    public Map<UUID, List<BatchView>> vessels() {
        Map<UUID, List<BatchView>> shared = batches.sharing().stream()
                .collect(Collectors.groupingBy(
                        Batch::together, TreeMap::new, Collectors.mapping(Batch::view, Collectors.toList())));
        shared.values().removeIf(all -> all.size() < 2);
        return shared;
    }

    /** A batch with all that share its vessel, itself first. */
    @Transactional(readOnly = true)
    public List<BatchView> inVesselOf(BatchView batch) {
        return Stream.concat(
                        Stream.of(batch),
                        vessels().values().stream()
                                .filter(all -> all.stream().anyMatch(b -> b.id().equals(batch.id())))
                                .flatMap(List::stream)
                                .filter(b -> !b.id().equals(batch.id())))
                .toList();
    }

    private static int standing(Batch batch) {
        BatchView b = batch.view();
        return b.isStuck() ? b.counts().pending() + b.readyToMove() : b.taken();
    }

    private int apart(Batch batch) {
        return stands.findByBatchIdOrderBySinceDescNotedAtDesc(batch.getId()).stream()
                .filter(BatchStand::isPart)
                .mapToInt(BatchStand::pieces)
                .sum();
    }

    private void refuseBadDay(Batch batch, LocalDate day) {
        today.refuseFuture("day", day);
        if (day.isBefore(batch.takenOn())) {
            throw new InvalidField("day", Messages.text("BatchMaker.they.were.taken.give", "takenOn", batch.takenOn()));
        }
    }

    private static String said(String cells) {
        return cells == null || cells.isBlank()
                ? null
                : cells.strip().substring(0, Math.min(200, cells.strip().length()));
    }

    private String who() {
        return nursery.person().map(SignedIn::name).orElse("Vivarium");
    }
}
