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
import java.util.Comparator;
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
        refuseEmpty(what);
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

    private static void refuseEmpty(String what) {
        if (what == null || what.isBlank() || what.length() > LONGEST) {
            throw new InvalidField("what", Messages.text("Reminders.what", "longest", LONGEST));
        }
    }

    /** It is done. */
    @Transactional
    String done(UUID id) {
        Reminder reminder = of(id);
        reminder.done(today.date());
        return reminder.what();
    }

    /**
     * Says it otherwise, or for another day.
     *
     * @param day null where it waits for its event alone
     * @throws InvalidField if it says nothing, or would come neither on a day nor with an event
     */
    @Transactional
    void change(UUID id, String what, LocalDate day) {
        refuseEmpty(what);
        Reminder reminder = of(id);
        if (day == null && reminder.event() == null) {
            throw new InvalidField("on", Messages.text("Reminders.when"));
        }
        reminder.says(what.strip());
        reminder.on(day);
    }

    /** Nobody wants to be reminded of it any more. */
    @Transactional
    String drop(UUID id) {
        Reminder reminder = of(id);
        reminders.delete(reminder);
        return reminder.what();
    }

    private Reminder of(UUID id) {
        return reminders.findById(id).orElseThrow(() -> new NotFound(Messages.text("Reminders.no.such.reminder")));
    }

    /**
     * A reminder that is not due yet.
     *
     * @param on its day, or null where it waits for its event alone
     * @param code the batch that it waits for, or the empty text
     * @param event what is to happen to it, in words, or the empty text
     */
    record Waiting(UUID id, String what, LocalDate on, String code, String event, String who) {}

    /** What is to be remembered later, by its day; what waits for an event comes last. */
    @Transactional(readOnly = true)
    List<Waiting> waiting(LocalDate day) {
        List<Reminder> open = reminders.findByDoneOnIsNull();
        Map<UUID, BatchView> of = batchesOf(open);
        return open.stream()
                .filter(r -> !dayCame(r, day) && !happened(r, batch(r, of)))
                .map(r -> new Waiting(
                        r.getId(),
                        r.what(),
                        r.dueOn(),
                        batch(r, of).map(BatchView::code).orElse(""),
                        r.event() == null ? "" : r.event().words(),
                        r.personName()))
                .sorted(Comparator.comparing(Waiting::on, Comparator.nullsLast(Comparator.naturalOrder()))
                        .thenComparing(Waiting::what))
                .toList();
    }

    private Map<UUID, BatchView> batchesOf(List<Reminder> open) {
        return batches.ofIds(open.stream()
                .map(Reminder::batchId)
                .filter(Objects::nonNull)
                .distinct()
                .toList());
    }

    private static Optional<BatchView> batch(Reminder r, Map<UUID, BatchView> of) {
        return Optional.ofNullable(r.batchId()).map(of::get);
    }

    private static boolean dayCame(Reminder r, LocalDate day) {
        return r.dueOn() != null && !day.isBefore(r.dueOn());
    }

    private static boolean happened(Reminder r, Optional<BatchView> batch) {
        return r.event() != null && batch.filter(b -> hasHappened(b, r.event())).isPresent();
    }

    /** What is to be remembered on the day. */
    @Transactional(readOnly = true)
    List<Item.OtherTask> of(LocalDate day, Map<UUID, PlaceView> places) {
        List<Item.OtherTask> due = new ArrayList<>();
        List<Reminder> open = reminders.findByDoneOnIsNull();
        Map<UUID, BatchView> of = batchesOf(open);
        for (Reminder r : open) {
            Optional<BatchView> batch = batch(r, of);
            boolean happened = happened(r, batch);
            boolean now = dayCame(r, day) || happened;
            if (now && places.containsKey(r.placeId())) {
                due.add(new Item.OtherTask(
                        places.get(r.placeId()),
                        Verb.REMEMBER,
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
                        List.of(Item.Action.send(
                                Messages.text("Reminders.done"),
                                "/round/reminders/" + r.getId() + "/done",
                                Map.of()))));
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
