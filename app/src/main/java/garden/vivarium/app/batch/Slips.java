package garden.vivarium.app.batch;

import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes back at once what was pressed by a slip of the hand: the last thing done with a batch, whatever it was. */
@Service
public class Slips {

    private final BatchRepository batches;
    private final CheckRepository checks;
    private final PottingRepository pottings;
    private final BatchStageRepository stages;
    private final BatchToChange toChange;
    private final Batches work;
    private final BatchCorrections corrections;
    private final DoneCorrections done;

    Slips(
            BatchRepository batches,
            CheckRepository checks,
            PottingRepository pottings,
            BatchStageRepository stages,
            BatchToChange toChange,
            Batches work,
            BatchCorrections corrections,
            DoneCorrections done) {
        this.batches = batches;
        this.checks = checks;
        this.pottings = pottings;
        this.stages = stages;
        this.toChange = toChange;
        this.work = work;
        this.corrections = corrections;
        this.done = done;
    }

    /** What an act left behind. */
    public enum Trace {
        LOOK,
        MOVE,
        STAGE,
        STICK,
        SETTLED
    }

    /**
     * Something that was done, so that it can be taken back.
     *
     * @param id the look, move or stage that it left behind; of sticking nothing
     */
    public record Act(String code, Trace trace, UUID id) {}

    /** All that was ever done with a batch, to be held against what there is afterwards. */
    @Transactional(readOnly = true)
    public Set<UUID> marks(String code) {
        Batch batch = batches.findByCode(code).orElseThrow(() -> new NotFound("no batch " + code));
        Set<UUID> marks = new HashSet<>();
        looks(batch).forEach(c -> marks.add(c.getId()));
        moves(batch).forEach(p -> marks.add(p.getId()));
        stages(batch).forEach(s -> marks.add(s.getId()));
        return marks;
    }

    /** What was done since; empty where nothing can be found that could be taken back. */
    @Transactional(readOnly = true)
    public Optional<Act> since(String code, Set<UUID> before) {
        Batch batch = batches.findByCode(code).orElseThrow(() -> new NotFound("no batch " + code));
        return looks(batch).stream()
                .filter(c -> !before.contains(c.getId()))
                .map(c -> new Act(code, Trace.LOOK, c.getId()))
                .findFirst()
                .or(() -> moves(batch).stream()
                        .filter(p -> !before.contains(p.getId()))
                        .map(p -> new Act(code, Trace.MOVE, p.getId()))
                        .findFirst())
                .or(() -> stages(batch).stream()
                        .filter(s -> !before.contains(s.getId()))
                        .map(s -> new Act(code, Trace.STAGE, s.getId()))
                        .findFirst());
    }

    private List<Check> looks(Batch batch) {
        return checks.ofBatch(batch.getId());
    }

    private List<Potting> moves(Batch batch) {
        // What left rooted is no move: its leaving is corrected where it stands.
        return pottings.findByBatchIdInOrderByMovedOn(List.of(batch.getId())).stream()
                .filter(p -> !p.isAway())
                .toList();
    }

    private List<BatchStage> stages(Batch batch) {
        return stages.findByBatchIdInOrderBySaidOnAscMadeAtAsc(List.of(batch.getId()));
    }

    /**
     * Takes an act back.
     *
     * @throws InvalidField if something was built on it since
     */
    @Transactional
    public void takeBack(Act act) {
        String slip = Messages.text("Slips.why");
        switch (act.trace()) {
            case LOOK -> work.takeBack(act.code(), act.id());
            case STICK -> corrections.unstick(act.code(), slip);
            case MOVE -> {
                PottingView move = move(act);
                done.correctMove(act.code(), act.id(), move.movedOn(), 0, 0, null, slip);
            }
            case SETTLED -> {
                PottingView move = move(act);
                done.correctMove(act.code(), act.id(), move.movedOn(), move.pieces(), move.youngPlants(), null, slip);
            }
            case STAGE -> unsay(act);
        }
    }

    private PottingView move(Act act) {
        return pottings.findById(act.id())
                .map(Potting::view)
                .orElseThrow(() -> new InvalidField("code", Messages.text("Slips.gone", "code", act.code())));
    }

    private void unsay(Act act) {
        Batch batch = toChange.of(act.code());
        List<BatchStage> said = stages(batch);
        BatchStage last = said.isEmpty() ? null : said.get(said.size() - 1);
        if (last == null || !last.getId().equals(act.id())) {
            throw new InvalidField("code", Messages.text("Slips.gone", "code", act.code()));
        }
        boolean woke = last.said().done() && work.startsClock(batch, last.said().stage());
        if (woke
                && batch.view().lastLook() != null
                && !batch.view().lastLook().isBefore(last.said().on())) {
            throw new InvalidField("code", Messages.text("Slips.looked.since", "code", act.code()));
        }
        stages.delete(last);
        if (woke) {
            batch.sleepsAgain();
        } else {
            batch.touched();
        }
    }
}
