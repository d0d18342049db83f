package garden.vivarium.app.round;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The growers' own reminders, beside what the round derives. */
@Service
class Reminders {

    private static final int LONGEST = 300;

    private final ReminderRepository reminders;
    private final BatchBook batches;
    private final Stock stock;
    private final CurrentNursery nursery;
    private final Words words;
    private final Today today;

    Reminders(
            ReminderRepository reminders,
            BatchBook batches,
            Stock stock,
            CurrentNursery nursery,
            Words words,
            Today today) {
        this.reminders = reminders;
        this.batches = batches;
        this.stock = stock;
        this.nursery = nursery;
        this.words = words;
        this.today = today;
    }

    /**
     * Writes a reminder down: for a day, or for what happens to a batch.
     *
     * @param day null where it waits for an event
     * @param code the batch; null where it is for a day
     * @param place where to be reminded; null for where the batch stands
     * @throws InvalidField if it says nothing, or neither day nor batch
     */
    @Transactional
    void add(String what, LocalDate day, String code, Reminder.Event event, String place) {
        if (what == null || what.isBlank() || what.length() > LONGEST) {
            throw new InvalidField("what", Messages.text("Reminders.what", "longest", LONGEST));
        }
        Optional<BatchView> batch = Optional.ofNullable(code)
                .filter(c -> !c.isBlank())
                .map(c -> batches.ofCodes(List.of(c.strip())).stream()
                        .findFirst()
                        .orElseThrow(() -> new InvalidField("code", Messages.text("Reminders.no.such", "code", c)))
                        .batch());
        if (day == null && (batch.isEmpty() || event == null)) {
            throw new InvalidField("on", Messages.text("Reminders.when"));
        }
        UUID where = place != null && !place.isBlank()
                ? stock.placeNamed(place.strip(), Climate.HEATED).id()
                : batch.map(BatchView::placeId)
                        .or(() -> stock.places().stream().findFirst().map(PlaceView::id))
                        .orElseThrow(() -> new InvalidField("place", Messages.text("Reminders.where")));
        Reminder reminder = new Reminder(
                what.strip(), where, nursery.person().map(SignedIn::name).orElse("Vivarium"));
        reminder.on(day);
        batch.ifPresent(b -> reminder.when(b.id(), event));
        reminders.save(reminder);
    }

    /** It is done. */
    @Transactional
    String done(UUID id) {
        Reminder reminder = reminders.findById(id).orElseThrow(() -> new NotFound("no such reminder"));
        reminder.done(today.date());
        return reminder.what();
    }

    /** What is to be remembered on the day. */
    @Transactional(readOnly = true)
    List<Item.OtherTask> of(LocalDate day, Map<UUID, PlaceView> places) {
        List<Item.OtherTask> due = new ArrayList<>();
        List<Reminder> open = reminders.findByDoneOnIsNull();
        Map<UUID, BatchView> of = batches.ofIds(open.stream()
                .map(Reminder::batchId)
                .filter(Objects::nonNull)
                .distinct()
                .toList());
        for (Reminder r : open) {
            Optional<BatchView> batch = Optional.ofNullable(r.batchId()).map(of::get);
            boolean dayCame = r.dueOn() != null && !day.isBefore(r.dueOn());
            boolean happened = r.event() != null
                    && batch.filter(b -> hasHappened(b, r.event())).isPresent();
            boolean now = dayCame || happened;
            if (now && places.containsKey(r.placeId())) {
                due.add(new Item.OtherTask(
                        places.get(r.placeId()),
                        "Remember",
                        new Item.Subject(
                                batch.map(BatchView::code).orElse(""),
                                // Each by itself, so that one put off leaves the others.
                                batch.map(b -> "/batches/" + b.code()).orElse("/round") + "#reminder-" + r.getId(),
                                batch.map(BatchView::plant).orElse("")),
                        r.what(),
                        happened
                                ? words.say(
                                        "round.remember.event",
                                        "who",
                                        r.personName(),
                                        "event",
                                        r.event().words())
                                : words.say("round.remember.day", "who", r.personName(), "on", r.dueOn()),
                        false,
                        List.of(Item.Action.send("Done", "/round/reminders/" + r.getId() + "/done", Map.of()))));
            }
        }
        return due;
    }

    private static boolean hasHappened(BatchView batch, Reminder.Event event) {
        return switch (event) {
            case FIRST_SIGN -> batch.counts().firstSign() > 0 || batch.counts().ready() > 0;
            case READY -> batch.counts().ready() > 0;
            case OVER -> batch.closedOn() != null;
        };
    }
}
