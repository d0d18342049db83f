package garden.vivarium.app.round;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts things of the round off to a later day, with a word why. */
@Service
class PutOffs {

    private static final int LONGEST_KEY = 160;
    private static final int LONGEST = 200;
    private static final int MOST_DAYS = 366;

    private final PutOffRepository putOffs;
    private final CurrentNursery nursery;
    private final Today today;

    PutOffs(PutOffRepository putOffs, CurrentNursery nursery, Today today) {
        this.putOffs = putOffs;
        this.nursery = nursery;
        this.today = today;
    }

    /** What is not to be shown on the day, by what names it. */
    @Transactional(readOnly = true)
    Map<String, Off> later(LocalDate day) {
        return putOffs.findByUntilAfter(day).stream()
                .collect(Collectors.toMap(PutOff::item, o -> new Off(o.until(), o.word(), o.personName())));
    }

    /** Until when something was put off, why (or null), and by whom. */
    record Off(LocalDate until, String word, String who) {}

    /** Whether a thing was put off, as it is named in what {@link #later} gives. */
    static String named(Item item) {
        return key(item.key());
    }

    /**
     * Puts a thing off.
     *
     * @param word why, or null
     * @throws InvalidField if the day is today or earlier, or more than a year ahead
     */
    @Transactional
    void to(String item, LocalDate day, String word) {
        if (!day.isAfter(today.date()) || day.isAfter(today.date().plusDays(MOST_DAYS))) {
            throw new InvalidField("until", Messages.text("PutOffs.day"));
        }
        String key = key(item);
        PutOff off = putOffs.findByItem(key).orElseGet(() -> new PutOff(key));
        off.to(
                day,
                word == null ? null : word.substring(0, Math.min(LONGEST, word.length())),
                nursery.person().map(SignedIn::name).orElse("Vivarium"));
        putOffs.save(off);
    }

    /** It is asked for as ever. */
    @Transactional
    void backToday(List<String> items) {
        items.forEach(i -> putOffs.findByItem(key(i)).ifPresent(putOffs::delete));
    }

    private static String key(String item) {
        return item.substring(0, Math.min(LONGEST_KEY, item.length()));
    }
}
