package garden.vivarium.app.batch;

import garden.vivarium.app.platform.NotFound;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.looks.BatchHistory;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.treatment.Treatments;
import garden.vivarium.core.watch.StageClock;
import jakarta.persistence.Tuple;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The batches as they are written down, for whoever reads them. */
@Service
public class BatchBook {

    private final BatchRepository batches;
    private final PottingRepository pottings;
    private final PottingShelf moves;
    private final Histories histories;
    private final OutlookText outlooks;
    private final BatchShelf shelf;
    private final Stages stages;
    private final PieceFactRepository facts;

    BatchBook(
            BatchRepository batches,
            PottingRepository pottings,
            PottingShelf moves,
            Histories histories,
            OutlookText outlooks,
            BatchShelf shelf,
            Stages stages,
            PieceFactRepository facts) {
        this.batches = batches;
        this.pottings = pottings;
        this.moves = moves;
        this.histories = histories;
        this.outlooks = outlooks;
        this.shelf = shelf;
        this.stages = stages;
        this.facts = facts;
    }

    /** What each piece was when it was set, in words, by its number; without those that are as their batch is. */
    @Transactional(readOnly = true)
    public SortedMap<Integer, String> kindsOfPieces(UUID batch) {
        SortedMap<Integer, String> kinds = new TreeMap<>();
        facts.findByBatchIdAndKindNotNullOrderByPiece(batch).forEach(f -> kinds.put(f.piece(), f.kind()));
        return kinds;
    }

    /**
     * A batch as it is written down.
     *
     * @param batch the batch
     * @param outlook what was expected of it on the day it was made
     * @param drawn a letter for each piece, as looks and moves left it; null where it was not looked at since such letters are kept
     */
    public record Entry(BatchView batch, Outlook outlook, String drawn) {}

    /** The batch of the code. */
    @Transactional(readOnly = true)
    public Entry entry(String code) {
        return entry(batches.findByCode(code).orElseThrow(() -> new NotFound("no batch " + code)));
    }

    /** Batches of which something may still come, the first taken first. */
    @Transactional(readOnly = true)
    public List<Entry> open() {
        return entriesOf(batches.marksOpen());
    }

    /** The same without what was expected of them. */
    @Transactional(readOnly = true)
    public List<BatchView> standing() {
        return open().stream().map(Entry::batch).toList();
    }

    /** The batches that ended last, the last first. */
    @Transactional(readOnly = true)
    public List<Entry> lastClosed(int most) {
        return entries(batches.lastClosed(most));
    }

    /** How many batches have ended. */
    @Transactional(readOnly = true)
    public long countClosed() {
        return batches.countClosed();
    }

    /** Batches that give, or since the day gave, young plants. */
    @Transactional(readOnly = true)
    public List<Entry> givingSince(LocalDate day) {
        return entriesOf(batches.marksGivingSince(day));
    }

    /** Those of them that gave some. */
    @Transactional(readOnly = true)
    public List<BatchView> gaveSince(LocalDate day) {
        return givingSince(day).stream()
                .map(Entry::batch)
                .filter(b -> b.youngPlants() > 0)
                .toList();
    }

    /** The same of some plants alone, by their names. */
    @Transactional(readOnly = true)
    public List<Entry> givingSince(LocalDate day, Collection<String> plants) {
        return plants.isEmpty() ? List.of() : entries(batches.givingSince(day, plants));
    }

    /** Batches by their label codes. */
    @Transactional(readOnly = true)
    public List<Entry> ofCodes(Collection<String> codes) {
        return entries(batches.findByCodeIn(codes));
    }

    /** Batches by their ids, without what was expected of them. */
    @Transactional(readOnly = true)
    public Map<UUID, BatchView> ofIds(Collection<UUID> ids) {
        return batches.findAllById(ids).stream().map(Batch::view).collect(Collectors.toMap(BatchView::id, b -> b));
    }

    /** The label code of a batch. */
    @Transactional(readOnly = true)
    public Optional<String> code(UUID id) {
        return batches.findById(id).map(Batch::code);
    }

    /** Batches whose code, old name or plant holds the words, running ones first. */
    @Transactional(readOnly = true)
    public List<BatchView> like(String words, int most) {
        List<UUID> found = batches.like(words.replaceAll("([%_\\\\])", "\\\\$1"), most);
        Map<UUID, BatchView> read = ofIds(found);
        return found.stream().filter(read::containsKey).map(read::get).toList();
    }

    /** The moves of a batch, the first first. */
    @Transactional(readOnly = true)
    public List<PottingView> pottings(UUID batch) {
        return pottings(List.of(batch)).getOrDefault(batch, List.of());
    }

    /** One move. */
    @Transactional(readOnly = true)
    public Optional<PottingView> potting(UUID id) {
        return pottings.findById(id).filter(p -> !p.isAway()).map(Potting::view);
    }

    /** The moves of batches, the first of each first. */
    @Transactional(readOnly = true)
    public Map<UUID, List<PottingView>> pottings(Collection<UUID> ids) {
        return moves.read(ids);
    }

    /** The same of batches that were read; asked of the database only where one has changed since. */
    @Transactional(readOnly = true)
    public Map<UUID, List<PottingView>> moves(Collection<BatchView> of) {
        return moves.of(of);
    }

    /** Where batches stand among their stages; without those that have none. */
    @Transactional(readOnly = true)
    public Map<UUID, StageClock> stages(Collection<BatchView> of) {
        Map<UUID, List<StageClock.Said>> said =
                stages.said(of.stream().map(BatchView::id).toList());
        Map<UUID, StageClock> clocks = new HashMap<>();
        of.forEach(b ->
                stages.clock(b, said.getOrDefault(b.id(), List.of())).ifPresent(clock -> clocks.put(b.id(), clock)));
        return clocks;
    }

    /** What was known of stuck batches by each of their looks. */
    @Transactional(readOnly = true)
    public Map<UUID, AsKnown> asKnown(Collection<UUID> ids) {
        return ids.isEmpty() ? Map.of() : histories.asKnown(batches.findAllById(ids));
    }

    /**
     * The looks at a batch.
     *
     * @param history what follows from those that stand; empty where it is not stuck
     * @param checks all of them, the last first, those taken back among them
     * @param noted what was noted last of pieces beside their state, by piece
     */
    public record Looks(Optional<BatchHistory> history, List<CheckView> checks, Map<Integer, Noted> noted) {}

    /** All looks at a batch. */
    @Transactional(readOnly = true)
    public Looks looks(String code) {
        Batch batch = batches.findByCode(code).orElseThrow(() -> new NotFound("no batch " + code));
        CheckLog log = histories.log(batch);
        Map<Integer, Noted> noted = new HashMap<>();
        // Checks come in order of day, so that what was noted last stands.
        log.standing().forEach(c -> log.of(c).forEach(r -> noted.merge(r.piece(), r.noted(), Noted::then)));
        return new Looks(
                batch.stuckOn() == null ? Optional.empty() : Optional.of(histories.replay(batch, log)),
                log.all().stream()
                        .map(c -> c.view(log.of(c).size()))
                        .sorted(Comparator.comparing(CheckView::lookedOn).reversed())
                        .toList(),
                noted);
    }

    /** How long the work has taken here, by protocol. */
    @Transactional(readOnly = true)
    public Map<String, Worked> worked() {
        return batches.work().stream()
                .collect(Collectors.toMap(
                        BatchRepository.WorkRow::getProtocol,
                        w -> new Worked(w.getMinutes(), w.getPieces(), (int) w.getBatches())));
    }

    /**
     * Work that was timed.
     *
     * @param minutes in all
     * @param pieces in all
     * @param batches how many
     */
    public record Worked(long minutes, long pieces, int batches) {

        /** Minutes for so many pieces, at this pace. */
        public int minutesFor(int number) {
            return (int) Math.round((double) minutes * number / Math.max(1, pieces));
        }
    }

    /** Batches of some stock plants, as a family needs them. */
    @Transactional(readOnly = true)
    public List<Kin> kinOfStock(Collection<UUID> stockPlants) {
        return stockPlants.isEmpty()
                ? List.of()
                : batches.kinOfStock(stockPlants).stream().map(BatchBook::kin).toList();
    }

    /** The same of some batches. */
    @Transactional(readOnly = true)
    public List<Kin> kinOf(Collection<UUID> ids) {
        return ids.isEmpty()
                ? List.of()
                : batches.kinOf(ids).stream().map(BatchBook::kin).toList();
    }

    /** The same of those that were cut from some batches. */
    @Transactional(readOnly = true)
    public List<Kin> kinCutFrom(Collection<UUID> ids) {
        return ids.isEmpty()
                ? List.of()
                : batches.kinCutFrom(ids).stream().map(BatchBook::kin).toList();
    }

    /** A number that is another whenever something was written down of any batch. */
    @Transactional(readOnly = true)
    public long stamp() {
        return batches.stamp();
    }

    /** A way that was tried in a place. */
    public record Placed(Way way, UUID placeId) {}

    /** The places of every way, of batches that are stuck. */
    @Transactional(readOnly = true)
    public List<Placed> placed() {
        return batches.placed().stream()
                .map(p -> new Placed(
                        new Way(
                                p.getPlant(),
                                p.getPlantKind(),
                                p.getPlantGroup(),
                                p.getMethod(),
                                p.getMedium(),
                                p.getTreatment(),
                                Way.Own.of(p.getProtocol(), p.getProtocolVersion()),
                                p.getTrialId() != null),
                        p.getPlaceId()))
                .toList();
    }

    private static Kin kin(Tuple k) {
        Integer stuck = k.get("stuck", Integer.class);
        return new Kin(
                k.get("id", UUID.class),
                k.get("code", String.class),
                k.get("stockPlantId", UUID.class),
                k.get("fromBatchId", UUID.class),
                new Way(
                        k.get("plant", String.class),
                        k.get("plantKind", String.class),
                        k.get("plantGroup", String.class),
                        k.get("method", String.class),
                        k.get("medium", String.class),
                        k.get("treatment", Treatments.class),
                        Way.Own.of(k.get("protocol", String.class), k.get("protocolVersion", Integer.class)),
                        k.get("trialId", UUID.class) != null),
                k.get("takenOn", LocalDate.class),
                k.get("taken", Integer.class),
                stuck == null ? 0 : stuck,
                new Kin.Came(
                        k.get("ready", Integer.class),
                        k.get("lost", Integer.class),
                        k.get("sent", Integer.class),
                        k.get("youngPlants", Integer.class),
                        k.get("piecesPerPot", Integer.class)),
                k.get("closedOn", LocalDate.class) != null);
    }

    /** A batch as one of a family. */
    public record Kin(
            UUID id,
            String code,
            UUID stockPlantId,
            UUID fromBatchId,
            Way way,
            LocalDate takenOn,
            int taken,
            int stuck,
            Came came,
            boolean over) {

        /** What came of its pieces so far, and how many go to a pot. */
        public record Came(int ready, int lost, int sent, int youngPlants, int piecesPerPot) {}
    }

    private List<Entry> entries(List<Batch> found) {
        return found.stream().map(this::entry).toList();
    }

    private List<Entry> entriesOf(List<BatchMark> marks) {
        return shelf.of(marks).stream().map(BatchBook::entry).toList();
    }

    private Entry entry(Batch batch) {
        return entry(BatchShelf.Read.of(batch, outlooks));
    }

    private static Entry entry(BatchShelf.Read read) {
        return new Entry(read.batch(), read.outlook(), read.drawn());
    }
}
