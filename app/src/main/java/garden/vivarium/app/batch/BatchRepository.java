package garden.vivarium.app.batch;

import garden.vivarium.core.treatment.Treatments;
import jakarta.persistence.LockModeType;
import jakarta.persistence.Tuple;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface BatchRepository extends JpaRepository<Batch, UUID> {

    Optional<Batch> findByCode(String code);

    /** The batch, locked for whoever changes it until the end of the transaction. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select b from Batch b where b.code = :code")
    Optional<Batch> findToChange(String code);

    List<Batch> findByCodeIn(Collection<String> codes);

    /** Minutes of work and pieces of the batches that were timed, by protocol. */
    @Query(
            "select b.done.protocol as protocol, sum(b.guess.minutes) as minutes, sum(b.taking.taken) as pieces, count(b) as batches"
                    + " from Batch b where b.guess.minutes > 0 and b.done.protocol is not null group by b.done.protocol")
    List<WorkRow> work();

    /** How batches were done that are stuck, without what was expected of them. */
    @Query(
            "select new garden.vivarium.app.batch.BatchFacts(b.id, b.changes, b.code, b.done, b.taking, b.material, b.placeId,"
                    + " b.origin.stockPlantId, b.madeBy) from Batch b where b.taking.stuckOn is not null")
    List<BatchFacts> facts();

    @Query(
            "select new garden.vivarium.app.batch.BatchFacts(b.id, b.changes, b.code, b.done, b.taking, b.material, b.placeId,"
                    + " b.origin.stockPlantId, b.madeBy) from Batch b where b.id in :ids and b.taking.stuckOn is not null")
    List<BatchFacts> facts(Collection<UUID> ids);

    /** A number that is another whenever a batch was made, changed or withdrawn. */
    @Query("select count(b) * 1000003 + coalesce(sum(b.changes), 0) from Batch b")
    long stamp();

    /** Batches whose row was written since, and how often each was changed. */
    @Query(
            value =
                    "select id as id, changes as changes, if(stuck_on is null, 0, 1) as stuck, young_plants as gave from batch where nursery_id = :nursery and written_at >= :since",
            nativeQuery = true)
    List<Written> writtenSince(UUID nursery, LocalDateTime since);

    /** A batch, how often it was changed, whether it is stuck, 1 or 0, and how many young plants it gave. */
    interface Written {
        UUID getId();

        int getStuck();

        int getGave();

        int getChanges();
    }

    /** Batches that gave young plants, and how often each was changed. */
    @Query("select b.id as id, b.changes as changes from Batch b where b.youngPlants > 0")
    List<Changed> gave();

    @Query("select b.id as id, b.changes as changes from Batch b where b.id in :ids and b.youngPlants > 0")
    List<Changed> gave(Collection<UUID> ids);

    /** A batch, and how often it was changed. */
    interface Changed {
        UUID getId();

        int getChanges();
    }

    /** When any row was last written, by the database's clock. */
    @Query(value = "select max(written_at) from batch where nursery_id = :nursery", nativeQuery = true)
    LocalDateTime lastWritten(UUID nursery);

    interface WorkRow {
        String getProtocol();

        long getMinutes();

        long getPieces();

        long getBatches();
    }

    /** Media of batches, the most used first. */
    @Query(
            "select b.done.medium as word, count(b) as batches from Batch b group by b.done.medium order by count(b) desc, b.done.medium")
    List<WordRow> media();

    /** Treatments of batches by a method, as they are kept. */
    @Query("select b.done.treatment as treatments, count(b) as batches from Batch b where b.done.method = :method"
            + " group by b.done.treatment order by count(b) desc, b.done.treatment")
    List<TreatedRow> treatments(String method);

    /** A batch and its treatments. */
    record Treated(String code, Treatments treatment) {}

    @Query(
            "select new garden.vivarium.app.batch.BatchRepository$Treated(b.code, b.done.treatment) from Batch b where b.code in :codes")
    List<Treated> treated(Collection<String> codes);

    /** Batches of a nursery among whose treatments a code stands. */
    @Query(
            value = "select b.code from batch b where b.nursery_id = :nursery and b.withdrawn_at is null"
                    + " and b.treatment like concat('%', :name, ' %')",
            nativeQuery = true)
    List<String> havingTreatment(UUID nursery, String name);

    /** So many batches that were treated alike. */
    interface TreatedRow {
        Treatments getTreatments();

        long getBatches();
    }

    interface WordRow {
        String getWord();

        long getBatches();
    }

    List<Batch> findByTogether(UUID together);

    @Query("select b from Batch b where b.together is not null and b.closedOn is null order by b.code")
    List<Batch> sharing();

    Optional<Batch> findByOriginOldCode(String oldCode);

    List<Batch> findByOriginOldCodeIn(Collection<String> oldCodes);

    @Query("select coalesce(max(b.codeNumber), 0) from Batch b where b.codeYear = :year and b.codeWeek = :week")
    int lastNumber(int year, int week);

    String MARK = "select new garden.vivarium.app.batch.BatchMark(b.id, b.version, b.plantId, b.plantName, b.plantKind,"
            + " b.plantGroup) from Batch b";

    /** By what those of which something may still come are known. */
    @Query(MARK + " where b.closedOn is null order by b.taking.takenOn, b.code")
    List<BatchMark> marksOpen();

    /** The same of those that give, or since the day gave. */
    @Query(MARK + " where b.closedOn is null or (b.closedOn >= :day and b.youngPlants > 0)")
    List<BatchMark> marksGivingSince(LocalDate day);

    @Query(
            "select b from Batch b where b.plantName in :plants and (b.closedOn is null or (b.closedOn >= :day and b.youngPlants > 0))")
    List<Batch> givingSince(LocalDate day, Collection<String> plants);

    @Query("select b from Batch b where b.closedOn is not null order by b.closedOn desc, b.code desc limit :most")
    List<Batch> lastClosed(int most);

    @Query("select b.id from Batch b where b.taking.stuckOn is not null")
    List<UUID> stuck();

    @Query("select b.id from Batch b where b.taking.stuckOn is not null and b.plantId = :plant")
    List<UUID> stuckOf(UUID plant);

    /** Batches of a plant are of what it is called now. */
    @Modifying(clearAutomatically = true)
    @Query("update Batch b set b.plantId = :now, b.plantName = :name, b.plantKind = :kind, b.plantGroup = :group"
            + " where b.plantId = :before")
    void follow(UUID before, UUID now, String name, String kind, String group);

    @Query("select count(b) from Batch b where b.closedOn is not null")
    long countClosed();

    /** What a family needs of a batch. */
    String KIN =
            "select b.code as code, b.id as id, b.origin.stockPlantId as stockPlantId, b.origin.fromBatchId as fromBatchId,"
                    + " b.plantName as plant, b.plantKind as plantKind, b.plantGroup as plantGroup, b.done.method as method, b.done.medium as medium,"
                    + " b.done.treatment as treatment, b.done.protocol as protocol, b.done.protocolVersion as protocolVersion, b.done.trialId as trialId, b.taking.takenOn as takenOn, b.taking.taken as taken, b.taking.stuck as stuck, b.ready as ready, b.lost as lost,"
                    + " b.sent as sent, b.youngPlants as youngPlants, b.vessel.piecesPerPot as piecesPerPot, b.closedOn as closedOn from Batch b";

    String BY_DAY = " order by b.taking.takenOn, b.code";

    /** What a family needs of the batches of some stock plants. */
    @Query(KIN + " where b.origin.stockPlantId in :stockPlants" + BY_DAY)
    List<Tuple> kinOfStock(Collection<UUID> stockPlants);

    /** The same of some batches. */
    @Query(KIN + " where b.id in :ids" + BY_DAY)
    List<Tuple> kinOf(Collection<UUID> ids);

    /** The same of those that were cut from some batches. */
    @Query(KIN + " where b.origin.fromBatchId in :ids" + BY_DAY)
    List<Tuple> kinCutFrom(Collection<UUID> ids);

    /** Which ways stood, or stand, where. */
    @Query("select distinct b.plantName as plant, b.plantKind as plantKind, b.plantGroup as plantGroup,"
            + " b.done.method as method, b.done.medium as medium, b.done.treatment as treatment, b.done.protocol as protocol, b.done.protocolVersion as protocolVersion, b.done.trialId as trialId, b.placeId as placeId"
            + " from Batch b where b.taking.stuckOn is not null")
    List<PlacedRow> placed();

    interface PlacedRow {
        String getPlant();

        String getPlantKind();

        String getPlantGroup();

        String getMethod();

        String getMedium();

        Treatments getTreatment();

        UUID getTrialId();

        String getProtocol();

        Integer getProtocolVersion();

        UUID getPlaceId();
    }

    /** Batches whose code, old code or plant holds the words, running ones first; found in an index, without their rows. */
    @Query(
            "select b.id from Batch b where b.code like concat('%', :words, '%') or b.origin.oldCode like concat('%', :words, '%')"
                    + " or b.plantName like concat('%', :words, '%') order by case when b.closedOn is null then 0 else 1 end, b.taking.takenOn desc"
                    + " limit :most")
    List<UUID> like(String words, int most);
}
