package garden.vivarium.app.batch;

import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.watch.StageClock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The stages of batches: what was said of them, and what comes next. */
@Component
class Stages {

    private final BatchStageRepository stages;
    private final GuideLookup lookup;
    private final CurrentNursery nursery;
    private final Today today;

    Stages(BatchStageRepository stages, GuideLookup lookup, CurrentNursery nursery, Today today) {
        this.stages = stages;
        this.lookup = lookup;
        this.nursery = nursery;
        this.today = today;
    }

    /** What was said of the stages of these batches, in order of day. */
    Map<UUID, List<StageClock.Said>> said(Collection<UUID> batches) {
        return stages.findByBatchIdInOrderBySaidOnAscMadeAtAsc(batches).stream()
                .collect(Collectors.groupingBy(
                        BatchStage::batchId, Collectors.mapping(BatchStage::said, Collectors.toList())));
    }

    /** Where a batch stands among its stages; empty where it was stuck under no protocol, or is not stuck. */
    Optional<StageClock> clock(BatchView batch, List<StageClock.Said> said) {
        if (batch.protocol() == null || !batch.isStuck()) {
            return Optional.empty();
        }
        return lookup.protocol(batch.protocol(), batch.protocolVersion(), batch.way())
                .filter(p -> !p.course().stagesIn(batch.way().medium()).isEmpty())
                .map(p -> {
                    List<StageClock.Said> all = new ArrayList<>(said);
                    // Old records say nothing of waking: their days are counted from the day stuck.
                    p.clockStage()
                            .filter(s -> batch.clockOn() != null)
                            .filter(s -> all.stream()
                                    .noneMatch(x -> x.done() && x.stage().equals(s.key())))
                            .ifPresent(s -> all.add(0, new StageClock.Said(s.key(), batch.clockOn(), true)));
                    return StageClock.of(p.course().stagesIn(batch.way().medium()), batch.stuckOn(), all);
                });
    }

    /**
     * When a batch woke that a look finds awake: midway between the day it was last known to sleep and the look, since
     * nothing tells more.
     */
    LocalDate wokeBefore(Batch batch, LocalDate look) {
        LocalDate asleep = said(List.of(batch.getId())).getOrDefault(batch.getId(), List.of()).stream()
                .map(StageClock.Said::on)
                .filter(d -> d.isBefore(look))
                .max(Comparator.naturalOrder())
                .orElse(batch.stuckOn());
        return asleep.plusDays(ChronoUnit.DAYS.between(asleep, look) / 2);
    }

    /**
     * Writes down that a stage was done, or is not to be seen yet.
     *
     * @throws InvalidField if another stage comes next, or the day cannot be
     */
    void say(Batch batch, String stage, LocalDate day, boolean done) {
        BatchView view = batch.view();
        List<StageClock.Said> before = said(List.of(batch.getId())).getOrDefault(batch.getId(), List.of());
        StageClock clock = clock(view, before)
                .orElseThrow(() ->
                        new InvalidField("stage", Messages.text("Stages.has.no.such.stage", "code", view.code())));
        Protocol.Stage next = clock.next()
                .filter(s -> s.key().equals(stage))
                .orElseThrow(() -> new InvalidField(
                        "stage",
                        Messages.text(
                                "Stages.waits.something.else",
                                "code",
                                view.code(),
                                "act",
                                clock.next().map(s -> s.act().metric()).orElse("nothing more"))));
        today.refuseFuture("saidOn", day);
        if (day.isBefore(clock.since())) {
            throw new InvalidField("saidOn", Messages.text("Stages.cannot.before.give.day", "since", clock.since()));
        }
        stages.save(new BatchStage(
                batch.getId(),
                stage,
                day,
                done,
                nursery.person().map(SignedIn::name).orElse("Vivarium"),
                today.now()));
        batch.touched();
        if (done && next.startsClock()) {
            batch.woke(day);
        }
    }
}
