package garden.vivarium.app.story;

import garden.vivarium.app.batch.OwnWays;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.CareView;
import garden.vivarium.app.care.Subject;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.PlantView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.CareAct;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.OfferedWay;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.guide.Upkeep;
import garden.vivarium.core.measure.Length;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.plan.PotSetting;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A stock plant is potted too, as it is received, divided or outgrown: how it is set, and its first water and feed on the round. */
@Service
class StockPotting {

    private static final int LEAST_CM = 4;
    private static final int MOST_CM = 80;
    private static final int LONGEST_MIX = 120;
    private static final int DAYS_A_WEEK = 7;
    /** So long after its day a first water or feed is asked for; what was potted longer ago has had it, or is not missed. */
    private static final int ASKED_FOR = 21;
    /** What stands in water or over it is asked after for so many days from the day it was put there. */
    private static final int KEPT_UP_FOR = 120;

    private final Stock stock;
    private final Guide guide;
    private final CareBook care;
    private final OwnWays own;
    private final Words words;
    private final Today today;
    private final Measures measures;

    StockPotting(Stock stock, Guide guide, CareBook care, OwnWays own, Words words, Today today, Measures measures) {
        this.stock = stock;
        this.guide = guide;
        this.care = care;
        this.own = own;
        this.words = words;
        this.today = today;
        this.measures = measures;
    }

    /** Why it is potted. */
    enum Why {
        RECEIVED,
        DIVIDED,
        OUTGROWN
    }

    /**
     * How a plant is potted by the guide.
     *
     * @param potting mix, and the waits for water and feed
     * @param setting how it is set
     */
    record Proposed(Protocol.Potting potting, PotSetting setting) {}

    /** How a plant is potted, as pieces of its commonest way are; empty where no way is offered for it. */
    @Transactional(readOnly = true)
    Optional<Proposed> proposed(PlantView plant) {
        return guide.offered(guide.kind(plant.kind()), plant.group(), guide.protocols()).stream()
                .min(Comparator.comparing(OfferedWay::verdict).thenComparing(OfferedWay::rank))
                .map(o -> guide.fitted(o.protocol(), plant.grown()))
                .map(p -> new Proposed(
                        p.potting(),
                        PotSetting.of(
                                p.method(), plant.group(), false, p.potting().mix())));
    }

    /**
     * Writes down that it was potted; its first water and feed come on the round, and fresh water as often as a vessel of it asks for some.
     *
     * @throws InvalidField naming the field, if it cannot be
     */
    @Transactional
    String pot(UUID id, Why why, String across, String mix, LocalDate day) {
        StockPlantView plant =
                stock.find(id).orElseThrow(() -> new NotFound(Messages.text("StockPotting.no.such.stock.plant")));
        today.refuseFuture("pottedOn", day);
        double cm = measures.within("acrossCm", across, Unit.CENTIMETRE, LEAST_CM, MOST_CM);
        Length wide = Length.ofCentimetres(cm);
        if (mix == null || mix.isBlank() || mix.length() > LONGEST_MIX) {
            throw new InvalidField("mix", Messages.text("StockPotting.mix", "longest", LONGEST_MIX));
        }
        // A name that nobody knows is a mix of their own.
        String medium = own.medium("mix", mix, true);
        Optional<Upkeep> upkeep = guide.upkeep(medium);
        Subject subject = new Subject(
                Subject.Kind.STOCK, plant.id(), plant.code(), plant.place().id());
        care.did(subject, words.say("stock.potted", "why", why.name(), "cm", cm, "mix", medium), null, null, day, 0);
        Optional<Protocol.Potting> waits = proposed(plant.plant()).map(Proposed::potting);
        endWatering(plant.id());
        upkeep.ifPresent(u -> care.again(
                u.act(),
                null,
                List.of(subject),
                lastBefore(day, u.every()),
                new CareBook.Again(u.every(), KEPT_UP_FOR / u.every())));
        LocalDate missed = today.date().minusDays(ASKED_FOR);
        waits.filter(p -> p.waitForWater() > 0 && upkeep.isEmpty())
                .map(p -> day.plusDays(p.waitForWater()))
                .filter(due -> due.isAfter(missed))
                .ifPresent(due -> care.plan(subject, words.say("stock.first.water"), due));
        waits.filter(p -> p.weeksBeforeFeed() > 0)
                .map(p -> day.plusDays((long) DAYS_A_WEEK * p.weeksBeforeFeed()))
                .filter(due -> due.isAfter(missed))
                .ifPresent(due -> care.plan(subject, words.say("stock.first.feed"), due));
        return upkeep.map(u -> Messages.text(
                        "StockPotting.in.water", "code", plant.code(), "medium", medium, "every", u.every()))
                .orElseGet(() -> words.say("StockPotting.done", "code", plant.code(), "across", wide));
    }

    /** What an earlier vessel of water asked for is asked no more. */
    private void endWatering(UUID plant) {
        care.of(plant).stream()
                .filter(c -> c.days().done() == null)
                .filter(c -> c.act() == CareAct.WATER_CHANGED || c.act() == CareAct.TOPPED_UP)
                .collect(Collectors.toMap(CareView::course, CareView::id, (one, other) -> one))
                .values()
                .forEach(care::noMore);
    }

    /** The last time before today at which it would have been done since then: what is told late is not asked for all at once. */
    private LocalDate lastBefore(LocalDate potted, int every) {
        long elapsed = Math.max(0, ChronoUnit.DAYS.between(potted, today.date()) - 1);
        return potted.plusDays(elapsed / every * every);
    }
}
