package garden.vivarium.app.climate;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Air;
import garden.vivarium.core.watch.AirWatch;
import garden.vivarium.core.watch.LightWatch;
import garden.vivarium.core.watch.PlaceFit;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts readings beside what stands at a place wants. */
@Service
class PlaceAirs {

    private static final double BASE = 10;
    private static final int ALARM_DAYS = 7;
    private static final int DAYS_COMPARED = 14;
    /** Another place is named where it would have had half the wrong hours, and this one a day of them. */
    private static final int WORTH_SAYING = 24;

    private static final int WHOLE_DAY = 20;

    /** More days than this are drawn by the day, and their hours read without their times. */
    private static final int MOST_BY_HOUR = 45;

    /** Light is judged by the last month: a June says nothing of November. */
    private static final int DAYS_LIT = 30;

    private final AirRecord record;
    private final BatchBook book;
    private final GuideLookup lookup;
    private final PlaceNights nights;
    private final Stock stock;
    private final Today today;

    PlaceAirs(AirRecord record, BatchBook book, GuideLookup lookup, PlaceNights nights, Stock stock, Today today) {
        this.record = record;
        this.book = book;
        this.lookup = lookup;
        this.nights = nights;
        this.stock = stock;
        this.today = today;
    }

    /** All places in walking order, each over the last day. */
    @Transactional(readOnly = true)
    List<PlaceAir> all() {
        return all(standing(), record.hours(from(ALARM_DAYS), soon()), new Wanting(lookup, today.date()));
    }

    /** The same, as far as somebody is called by it: the week is read only of places that were far off in the last hours. */
    @Transactional(readOnly = true)
    List<PlaceAir> calling() {
        Map<UUID, List<BatchView>> standing = standing();
        Map<UUID, List<HourView>> hours = record.hours(from(1), soon());
        Wanting wanting = new Wanting(lookup, today.date());
        List<String> far = hours.entrySet().stream()
                .filter(e -> {
                    List<AirWatch.Hour> last =
                            e.getValue().stream().map(HourView::hour).toList();
                    return standing.getOrDefault(e.getKey(), List.of()).stream()
                            .anyMatch(b -> AirWatch.isFarNow(last, wanting.of(b)));
                })
                .map(e -> e.getKey().toString())
                .toList();
        hours.putAll(record.hours(far, from(ALARM_DAYS), soon()));
        return all(standing, hours, wanting);
    }

    private List<PlaceAir> all(Map<UUID, List<BatchView>> standing, Map<UUID, List<HourView>> weeks, Wanting wanting) {
        Map<UUID, Reading> last = record.last();
        Optional<Double> latitude = record.latitude();
        Instant yesterday = from(1);
        return stock.places().stream()
                .map(p -> {
                    List<HourView> week = weeks.getOrDefault(p.id(), List.of());
                    List<HourView> hours = week.stream()
                            .filter(h -> !h.at().isBefore(yesterday))
                            .toList();
                    return air(
                            new Read(
                                    p,
                                    yesterday,
                                    false,
                                    hours,
                                    Wrong.of(hours),
                                    week,
                                    List.of(),
                                    Optional.ofNullable(last.get(p.id())),
                                    Map.of()),
                            standing.getOrDefault(p.id(), List.of()),
                            wanting,
                            latitude);
                })
                .toList();
    }

    /** One place over so many days. */
    @Transactional(readOnly = true)
    PlaceAir of(UUID place, int days) {
        PlaceView found = found(place);
        List<BatchView> batches = standing().getOrDefault(place, List.of());
        Wanting wanting = new Wanting(lookup, today.date());
        List<AirWatch.Wanted> wanted =
                batches.stream().map(wanting::of).distinct().toList();
        List<AirWatch.Limits> limits = wanted.stream().map(AirWatch.Limits::of).toList();
        // Where something would have been better is told by the last weeks, however far back the page looks.
        int compared = Math.min(days, DAYS_COMPARED);
        List<PlaceView> places = stock.places();
        Map<UUID, AirRecord.Summed> recently =
                record.summed(places.stream().map(PlaceView::id).toList(), limits, from(compared), soon());
        Map<PlaceView, List<AirWatch.Tally>> others = new HashMap<>();
        for (PlaceView other : places) {
            AirRecord.Summed of = recently.get(other.id());
            if (of != null && !other.id().equals(place) && of.hours() >= compared * 12) {
                others.put(other, of.wrong());
            }
        }
        List<AirRecord.Day> measured = record.days(
                place,
                batches.stream()
                        .filter(BatchView::isStuck)
                        .map(BatchView::dayZero)
                        .min(Comparator.naturalOrder())
                        .orElse(today.date()));
        boolean byDay = days > MOST_BY_HOUR;
        List<HourView> hours = record.hours(place, from(byDay ? DAYS_LIT : Math.max(days, ALARM_DAYS)), soon());
        List<HourView> asked = since(hours, from(days));
        Wrong wrong = byDay
                ? new Wrong(
                        record.summed(List.of(place), limits, from(days), soon())
                                .get(place),
                        wanted)
                : Wrong.of(asked);
        return air(
                new Read(
                        found,
                        from(days),
                        byDay,
                        byDay ? record.daily(place, today.of(from(days)).plusDays(1)) : asked,
                        wrong.beside(recently.get(place), wanted, others),
                        since(hours, from(ALARM_DAYS)),
                        measured,
                        record.last(place),
                        tallies(ofWholeDays(lit(since(asked, from(DAYS_LIT)))))),
                batches,
                wanting,
                record.latitude());
    }

    /** All hours of one place over so many days. */
    @Transactional(readOnly = true)
    List<HourView> hours(UUID place, int days) {
        found(place);
        return record.hours(place, from(days), soon());
    }

    private PlaceView found(UUID place) {
        return stock.places().stream()
                .filter(p -> p.id().equals(place))
                .findFirst()
                .orElseThrow(() -> new NotFound(Messages.text("PlaceAirs.no.such.place")));
    }

    /**
     * What was read at a place.
     *
     * @param from since when it is looked at
     * @param byDay whether it is drawn by the day
     * @param drawn what is drawn of it: hours, or days where there are many
     * @param hours what its hours came to since then
     * @param week the last seven days
     * @param measured days, as far back as something stands there; none where nobody asks for them
     * @param last the last reading
     * @param lit light of its whole days; none where nobody asks for it
     */
    private record Read(
            PlaceView place,
            Instant from,
            boolean byDay,
            List<HourView> drawn,
            Wrong hours,
            List<HourView> week,
            List<AirRecord.Day> measured,
            Optional<Reading> last,
            Map<PlaceFit.Light, LightWatch.Tally> lit) {}

    /** Hours that were wrong beside what is wanted; many batches want the same, and it is summed once. */
    private static final class Wrong {

        private final List<AirWatch.Hour> hours;
        private final Map<AirWatch.Wanted, AirWatch.Tally> tallies = new HashMap<>();
        private final Map<AirWatch.Wanted, PlaceAir.Better> better = new HashMap<>();

        private Wrong(List<AirWatch.Hour> hours) {
            this.hours = hours;
        }

        /** From sums already made, in the order of what is wanted; nothing where nothing was measured. */
        Wrong(AirRecord.Summed summed, List<AirWatch.Wanted> wanted) {
            this(List.of());
            for (int i = 0; summed != null && i < wanted.size(); i++) {
                tallies.put(wanted.get(i), summed.wrong().get(i));
            }
        }

        static Wrong of(List<HourView> hours) {
            return new Wrong(hours.stream().map(HourView::hour).toList());
        }

        AirWatch.Tally tally(AirWatch.Wanted wanted) {
            return tallies.computeIfAbsent(wanted, w -> AirWatch.tally(hours, w));
        }

        Optional<PlaceAir.Better> better(AirWatch.Wanted wanted) {
            return Optional.ofNullable(better.get(wanted));
        }

        /** With the other place that suited each more of late, where this one was wrong for a day. */
        Wrong beside(AirRecord.Summed here, List<AirWatch.Wanted> wanted, Map<PlaceView, List<AirWatch.Tally>> others) {
            for (int i = 0; here != null && i < wanted.size(); i++) {
                int which = i;
                int wrong = wrong(here.wrong().get(i));
                others.entrySet().stream()
                        .filter(o -> wrong >= WORTH_SAYING)
                        .map(o -> new PlaceAir.Better(
                                o.getKey().name(), wrong(o.getValue().get(which))))
                        .filter(o -> 2 * o.wrong() <= wrong)
                        .min(Comparator.comparingInt(PlaceAir.Better::wrong).thenComparing(PlaceAir.Better::place))
                        .ifPresent(o -> better.put(wanted.get(which), o));
            }
            return this;
        }
    }

    private static List<HourView> since(List<HourView> hours, Instant from) {
        return hours.stream().filter(h -> !h.at().isBefore(from)).toList();
    }

    private Instant soon() {
        return today.now().plusSeconds(3600);
    }

    private Instant from(int days) {
        return today.now().minus(days, ChronoUnit.DAYS).truncatedTo(ChronoUnit.HOURS);
    }

    private Map<UUID, List<BatchView>> standing() {
        Map<UUID, List<BatchView>> standing = new HashMap<>();
        book.standing().stream()
                .filter(b -> !b.isStuck() || b.counts().pending() + b.readyToMove() > 0)
                .forEach(b -> standing.computeIfAbsent(b.placeId(), p -> new ArrayList<>())
                        .add(b));
        return standing;
    }

    private PlaceAir air(Read read, List<BatchView> batches, Wanting wanting, Optional<Double> latitude) {
        List<AirWatch.Hour> week = read.week().stream().map(HourView::hour).toList();
        List<PlaceAir.Wants> wants =
                batches.stream().map(b -> wants(b, read, wanting)).toList();
        Optional<AirWatch.Now> alarm = wants.stream()
                .map(w -> AirWatch.alarm(week, w.wanted()))
                .flatMap(Optional::stream)
                .max(Comparator.comparingInt(AirWatch.Now::hours));
        return new PlaceAir(
                read.place(),
                read.from(),
                read.byDay(),
                read.drawn(),
                read.last(),
                wants,
                alarm,
                nights.of(batches, latitude),
                light(ofWholeDays(lit(read.week()))));
    }

    /** The word for a place's light by its last week; empty where nobody measured it. */
    private static Optional<PlaceAir.Lit> light(List<LightWatch.Lit> week) {
        double noon = LightWatch.noon(week);
        return week.isEmpty() ? Optional.empty() : Optional.of(new PlaceAir.Lit(noon, LightWatch.said(noon)));
    }

    /** A day that is not over, or was measured in part, may have its brightest hour elsewhere. */
    private static List<LightWatch.Lit> ofWholeDays(List<LightWatch.Lit> hours) {
        Map<LocalDate, Long> measured =
                hours.stream().collect(Collectors.groupingBy(LightWatch.Lit::day, Collectors.counting()));
        return hours.stream().filter(h -> measured.get(h.day()) >= WHOLE_DAY).toList();
    }

    private static Map<PlaceFit.Light, LightWatch.Tally> tallies(List<LightWatch.Lit> lit) {
        return Arrays.stream(PlaceFit.Light.values())
                .collect(Collectors.toMap(l -> l, l -> LightWatch.tally(lit, l.share())));
    }

    private List<LightWatch.Lit> lit(List<HourView> hours) {
        return hours.stream()
                .map(h -> h.lit(today.of(h.at())))
                .flatMap(Optional::stream)
                .toList();
    }

    private PlaceAir.Wants wants(BatchView b, Read read, Wanting wanting) {
        Optional<Protocol.Air> air = wanting.air(b);
        AirWatch.Wanted wanted = wanting.of(b);
        List<AirRecord.Day> since = b.isStuck()
                ? read.measured().stream()
                        .filter(d -> !d.day().isBefore(b.dayZero()))
                        .toList()
                : List.of();
        return new PlaceAir.Wants(
                b,
                wanted,
                read.hours().tally(wanted),
                Air.thermalTime(
                        BASE, since.stream().mapToDouble(AirRecord.Day::mean).toArray()),
                since.size(),
                b.isStuck() ? ChronoUnit.DAYS.between(b.dayZero(), today.date()) + 1 : 0,
                read.hours().better(wanted),
                air.flatMap(a -> PlaceFit.Light.wanted(a.light()))
                        .map(l -> new PlaceAir.Lighted(
                                Messages.name(l), read.lit().getOrDefault(l, LightWatch.Tally.NONE)))
                        .orElse(PlaceAir.Lighted.AS_IT_COMES));
    }

    private static int wrong(AirWatch.Tally tally) {
        return tally.cold() + tally.hot() + tally.dry();
    }
}
