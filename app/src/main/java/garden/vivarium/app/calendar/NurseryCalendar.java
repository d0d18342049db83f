package garden.vivarium.app.calendar;

import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.bench.Task;
import garden.vivarium.app.care.CareBook;
import garden.vivarium.app.care.CareView;
import garden.vivarium.app.plan.PlanView;
import garden.vivarium.app.plan.Plans;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.promise.PromiseBook;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The current nursery's round and plans as iCalendar (RFC 5545): whole days, one entry a task. An entry's id follows from what
 * is to be done, not from when, so that a calendar that reads it again moves the entry and does not double it. What is overdue
 * stands on today.
 */
@Service
class NurseryCalendar {

    private static final int DAYS_AHEAD = 400;

    private final Benches benches;
    private final Plans plans;
    private final PromiseBook promises;
    private final CareBook care;
    private final Stock stock;
    private final Today today;
    private final Words words;

    NurseryCalendar(
            Benches benches, Plans plans, PromiseBook promises, CareBook care, Stock stock, Today today, Words words) {
        this.benches = benches;
        this.plans = plans;
        this.promises = promises;
        this.care = care;
        this.stock = stock;
        this.today = today;
        this.words = words;
    }

    private record Entry(String id, LocalDate day, String title, String why, String where) {}

    /** The calendar as text. */
    @Transactional(readOnly = true)
    String text() {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Vivarium//Round and plans//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        entries().forEach(e -> calendar.add(event(e)));
        StringWriter text = new StringWriter();
        try {
            new CalendarOutputter(false).output(calendar, text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return ContentLines.folded(text.toString());
    }

    private VEvent event(Entry e) {
        LocalDate day = e.day().isBefore(today.date()) ? today.date() : e.day();
        VEvent event = new VEvent(day, day.plusDays(1), ContentLines.plain(e.title()));
        event.getProperty("DTSTAMP").ifPresent(event::remove);
        event.add(new DtStamp(today.now().truncatedTo(java.time.temporal.ChronoUnit.SECONDS)));
        event.add(new Uid(e.id() + "@vivarium"));
        event.add(new Description(ContentLines.plain(e.why())));
        event.add(new Location(ContentLines.plain(e.where())));
        // It does not make the day busy: it is work among other work.
        event.add(new Transp(Transp.VALUE_TRANSPARENT));
        return event;
    }

    private List<Entry> entries() {
        List<Entry> entries = new ArrayList<>();
        LocalDate until = today.date().plusDays(DAYS_AHEAD);
        for (Benches.Row row : benches.open()) {
            row.tasks().stream()
                    .filter(t -> !t.due().isAfter(until))
                    .map(t -> entry(t, row.place().name()))
                    .forEach(entries::add);
        }
        Map<UUID, StockPlantView> parents =
                stock.all().stream().collect(Collectors.toMap(StockPlantView::id, Function.identity()));
        plans.waiting().forEach(p -> entries.addAll(entries(p, parents.get(p.stockPlantId()))));
        promises.open().stream()
                .filter(p -> p.due() != null)
                .forEach(p -> entries.add(new Entry(
                        p.id() + "-owed",
                        p.due(),
                        Messages.text("NurseryCalendar.owed", "owed", p.owed(), "plant", p.plant()),
                        Messages.text("NurseryCalendar.to", "who", p.who()),
                        "")));
        care.due(until).forEach(c -> entries.add(entry(c)));
        return entries;
    }

    private Entry entry(Task t, String place) {
        String which = t.stage() != null ? "-" + t.stage() : t.potting() != null ? "-" + t.potting() : "";
        return new Entry(
                t.batch().id() + "-" + t.kind().name().toLowerCase(Locale.ROOT) + which,
                t.due(),
                "%s: %s".formatted(t.batch().code(), words.of(t.what())),
                "%s. %s".formatted(t.batch().plant(), words.of(t.why())),
                place);
    }

    private static List<Entry> entries(PlanView p, StockPlantView parent) {
        String from = "%s (%s)".formatted(parent.plant().name(), parent.code());
        return List.of(
                new Entry(
                        p.id() + "-start",
                        p.start().on(),
                        Messages.text(
                                "NurseryCalendar.take.from", "take", p.start().take(), "code", parent.code()),
                        Messages.text(
                                "NurseryCalendar.young.plants",
                                "from",
                                from,
                                "youngPlants",
                                p.aim().youngPlants(),
                                "due",
                                p.aim().due()),
                        parent.place().name()),
                new Entry(
                        p.id() + "-due",
                        p.aim().due(),
                        Messages.text(
                                "NurseryCalendar.due",
                                "youngPlants",
                                p.aim().youngPlants(),
                                "name",
                                parent.plant().name()),
                        Messages.text(
                                "NurseryCalendar.planned.from.start",
                                "code",
                                parent.code(),
                                "on",
                                p.start().on()),
                        parent.place().name()));
    }

    private static Entry entry(CareView c) {
        return new Entry(
                c.id() + "-care",
                c.days().due(),
                "%s: %s".formatted(c.subject().code(), c.what()),
                c.trouble().cause() == null ? "" : "Against " + c.trouble().cause() + ".",
                c.subject().code());
    }
}
