package garden.vivarium.app.care;

import garden.vivarium.app.platform.CorrectedFact;
import garden.vivarium.app.platform.Corrections;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.guide.CareAct;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The care of the current nursery. */
@Service
public class CareBook {

    private static final int LONGEST = 300;
    private static final int MOST_DAYS = 366;
    private static final int MOST_TIMES = 60;

    private final CareRepository cares;
    private final CurrentNursery nursery;
    private final Corrections corrections;
    private final Seen seen;
    private final Today today;

    CareBook(CareRepository cares, CurrentNursery nursery, Corrections corrections, Seen seen, Today today) {
        this.cares = cares;
        this.nursery = nursery;
        this.corrections = corrections;
        this.seen = seen;
        this.today = today;
    }

    /**
     * Writes down care that was done.
     *
     * @param askAfter days after which to ask whether it worked; 0 for never
     * @throws InvalidField if nothing is said, or it is dated ahead
     */
    @Transactional
    public CareView did(Subject subject, String what, String symptom, String cause, LocalDate day, int askAfter) {
        if (what == null || what.isBlank() || what.length() > LONGEST) {
            throw new InvalidField("what", Messages.text("CareBook.say.what.was.done", "longest", LONGEST));
        }
        today.refuseFuture("doneOn", day);
        Care care = new Care(subject, what.strip(), symptom, cause, null, today.now());
        care.done(day, person());
        if (askAfter > 0) {
            care.ask(day.plusDays(askAfter));
        }
        return cares.save(care).view();
    }

    /**
     * Writes down one of the acts that are asked for again, for each of several at once.
     *
     * @param detail with what, how strong, in words; may be null
     * @param about the move that it concerns, or null
     * @return what was written down, to be taken back
     * @throws InvalidField if it is dated ahead, or there is nothing to do it for
     */
    @Transactional
    public List<UUID> log(CareAct act, String detail, List<Subject> subjects, LocalDate day, UUID about) {
        today.refuseFuture("doneOn", day);
        if (subjects.isEmpty()) {
            throw new InvalidField("scope", Messages.text("CareBook.nothing.there"));
        }
        String what = words(act, detail);
        return cares
                .saveAll(subjects.stream()
                        .map(subject -> {
                            Care care = new Care(subject, what, null, null, null, today.now());
                            care.done(day, person());
                            care.is(act, about);
                            return care;
                        })
                        .toList())
                .stream()
                .map(Care::getId)
                .toList();
    }

    private static String words(CareAct act, String detail) {
        boolean bare = detail == null || detail.isBlank();
        if (act == CareAct.OTHER && bare) {
            throw new InvalidField("detail", Messages.text("CareBook.say.what.was.done", "longest", LONGEST));
        }
        String what = bare
                ? Messages.text("CareAct.done", "act", act.name())
                : act == CareAct.OTHER
                        ? detail.strip()
                        : Messages.text(
                                "CareBook.with",
                                "act",
                                Messages.text("CareAct.done", "act", act.name()),
                                "detail",
                                detail.strip());
        if (what.length() > LONGEST) {
            throw new InvalidField("detail", Messages.text("CareBook.say.what.was.done", "longest", LONGEST));
        }
        return what;
    }

    /**
     * The same act again and again: each time stands in the round on its day.
     *
     * @param day the day on which it was done now
     * @param again every how many days, and how often still
     * @return what was put down, to be taken back
     * @throws InvalidField if it comes more often than daily, or more often than in a year
     */
    @Transactional
    public List<UUID> again(CareAct act, String detail, List<Subject> subjects, LocalDate day, Again again) {
        if (again.every() < 1
                || again.every() > MOST_DAYS
                || again.times() < 1
                || again.times() > MOST_TIMES
                || again.every() * again.times() > MOST_DAYS) {
            throw new InvalidField("every", Messages.text("CareBook.again", "most", MOST_TIMES));
        }
        String what = words(act, detail);
        List<Care> course = new ArrayList<>();
        for (Subject subject : subjects) {
            UUID one = UUID.randomUUID();
            for (int i = 1; i <= again.times(); i++) {
                Care care = new Care(subject, what, null, null, one, today.now());
                care.is(act, null);
                care.due(day.plusDays((long) i * again.every()));
                course.add(care);
            }
        }
        return cares.saveAll(course).stream().map(Care::getId).toList();
    }

    /** Every how many days, and how often. */
    public record Again(int every, int times) {}

    /** Takes back what was written down by a slip, as if it never was. */
    @Transactional
    public void unlog(UUID id) {
        cares.findById(id).ifPresent(cares::delete);
    }

    /**
     * When acts were done last.
     *
     * @param about the move that it concerned, or null
     */
    public record LastDone(UUID subject, UUID about, CareAct act, LocalDate on, int times) {}

    /** What was done last, in words, and when. */
    public record Last(String what, LocalDate on) {}

    /** Of each act that was ever done for a subject the last time, the last first. */
    @Transactional(readOnly = true)
    public List<Last> lastOf(UUID subject) {
        Map<CareAct, Last> last = new LinkedHashMap<>();
        cares.of(subject).stream()
                .filter(c -> c.act() != null && c.isDone())
                .forEach(c -> last.putIfAbsent(
                        c.act(), new Last(c.view().what(), c.view().days().done())));
        return List.copyOf(last.values());
    }

    /** When each act was done last, since a day. */
    @Transactional(readOnly = true)
    public List<LastDone> lastDone(LocalDate since) {
        return cares.lastDone(since).stream()
                .map(l -> new LastDone(l.getSubject(), l.getAbout(), l.getAct(), l.getDoneOn(), (int) l.getTimes()))
                .toList();
    }

    /** Puts a course of treatments down, each due on its day; after the last it is asked whether they worked. */
    @Transactional
    public void course(Subject subject, String what, String cause, List<LocalDate> days, LocalDate askOn) {
        UUID course = UUID.randomUUID();
        List<Care> all = new ArrayList<>();
        for (int i = 0; i < days.size(); i++) {
            Care care = new Care(
                    subject,
                    Messages.text("CareBook.of", "what", what, "i", i + 1, "days", days.size()),
                    null,
                    cause,
                    course,
                    today.now());
            care.due(days.get(i));
            if (i == days.size() - 1) {
                care.ask(askOn);
            }
            all.add(care);
        }
        cares.saveAll(all);
    }

    /** Puts something down that is to be done on a day. */
    @Transactional
    public void plan(Subject subject, String what, LocalDate day) {
        Care care = new Care(subject, what, null, null, UUID.randomUUID(), today.now());
        care.due(day);
        cares.save(care);
    }

    /** What is due by the day and not done. */
    @Transactional(readOnly = true)
    public List<CareView> due(LocalDate day) {
        return cares.due(day).stream().map(Care::view).toList();
    }

    /** Treatments of which by the day it should be said whether they worked. */
    @Transactional(readOnly = true)
    public List<CareView> asking(LocalDate day) {
        return cares.asking(day).stream().map(Care::view).toList();
    }

    /** Care of one subject, the last first. */
    @Transactional(readOnly = true)
    public List<CareView> of(UUID subject) {
        return cares.of(subject).stream().map(Care::view).toList();
    }

    /**
     * Says that due care was done.
     *
     * @throws InvalidField if the day is ahead
     */
    @Transactional
    public CareView done(UUID id, LocalDate day) {
        today.refuseFuture("doneOn", day);
        Care care = care(id);
        if (!care.isDone()) {
            care.done(day, person());
        }
        return care.view();
    }

    /** What is still due of a course is not asked for any more. */
    @Transactional
    public CareView noMore(UUID id) {
        Care care = care(id);
        CareView was = care.view();
        List<Care> rest = care.course() == null ? List.of(care) : cares.findByCourse(care.course());
        cares.deleteAll(rest.stream().filter(c -> !c.isDone()).toList());
        return was;
    }

    /**
     * Says what care really was done, and when.
     *
     * @param why in a word, or null
     * @throws InvalidField if nothing is said, or it is dated ahead
     */
    @Transactional
    public CareView correct(UUID id, String what, LocalDate day, String why) {
        Care care = care(id);
        if (what == null || what.isBlank() || what.length() > LONGEST) {
            throw new InvalidField("what", Messages.text("CareBook.say.what.was.done", "longest", LONGEST));
        }
        today.refuseFuture("doneOn", day);
        CareView was = care.view();
        corrections.keep(
                was.subject().id(),
                List.of(
                        new CorrectedFact("care", was.what(), what.strip()),
                        new CorrectedFact(
                                "care, day",
                                was.days().done() == null
                                        ? ""
                                        : was.days().done().toString(),
                                day.toString())),
                why);
        care.correct(what.strip(), day);
        return care.view();
    }

    /** It never was done: it is gone from the list, and what it was stays among the corrections. */
    @Transactional
    public CareView withdraw(UUID id, String why) {
        Care care = care(id);
        CareView was = care.view();
        corrections.keep(was.subject().id(), List.of(new CorrectedFact("care", was.what(), "never was")), why);
        cares.delete(care);
        return was;
    }

    /** Says how a treatment turned out; what is kept is not asked for again. */
    @Transactional
    public CareView turnedOut(UUID id, Outcome outcome) {
        Care care = care(id);
        care.turnedOut(outcome, today.date());
        return care.view();
    }

    /** How often each treatment turned out how. */
    @Transactional(readOnly = true)
    public Map<String, Map<Outcome, Long>> record() {
        Map<String, Map<Outcome, Long>> told = new HashMap<>();
        cares.outcomes()
                .forEach(t -> told.computeIfAbsent(t.getWhat(), w -> new EnumMap<>(Outcome.class))
                        .put(t.getOutcome(), t.getTimes()));
        return told;
    }

    /** The care, for whoever changes it; whoever saw another state of it is told. */
    private Care care(UUID id) {
        Care care = cares.findById(id).orElseThrow(() -> new NotFound(Messages.text("CareBook.no.such.care")));
        seen.check(care.mark(), care.version(), () -> {
            CareView now = care.view();
            return now.result().outcome() != null
                    ? Messages.text(
                            "CareBook.somebody.said",
                            "code",
                            now.subject().code(),
                            "what",
                            now.what(),
                            "outcome",
                            now.result().outcome().words())
                    : Messages.text(
                            "CareBook.done",
                            "code",
                            now.subject().code(),
                            "what",
                            now.what(),
                            "done",
                            now.days().done(),
                            "person",
                            now.person());
        });
        return care;
    }

    private String person() {
        return nursery.person().map(SignedIn::name).orElse("Vivarium");
    }
}
