package garden.vivarium.app.batch;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface BatchRepository extends JpaRepository<Batch, UUID> {

    Optional<Batch> findByCode(String code);

    List<Batch> findByCodeIn(Collection<String> codes);

    /** Minutes of work and pieces of the batches that were timed, by protocol. */
    @Query("select b.protocol as protocol, sum(b.minutes) as minutes, sum(b.taken) as pieces, count(b) as batches"
            + " from Batch b where b.minutes > 0 and b.protocol is not null group by b.protocol")
    List<WorkRow> work();

    interface WorkRow {
        String getProtocol();

        long getMinutes();

        long getPieces();

        long getBatches();
    }

    Optional<Batch> findByOldCode(String oldCode);

    List<Batch> findByOldCodeIn(Collection<String> oldCodes);

    @Query("select coalesce(max(b.codeNumber), 0) from Batch b where b.codeYear = :year and b.codeWeek = :week")
    int lastNumber(int year, int week);

    @Query("select b from Batch b where b.closedOn is null order by b.takenOn, b.code")
    List<Batch> open();

    @Query("select b from Batch b where b.closedOn is null or (b.closedOn >= :day and b.youngPlants > 0)")
    List<Batch> givingSince(LocalDate day);

    @Query(
            "select b from Batch b where b.plantName in :plants and (b.closedOn is null or (b.closedOn >= :day and b.youngPlants > 0))")
    List<Batch> givingSince(LocalDate day, Collection<String> plants);

    @Query("select b from Batch b where b.closedOn is not null order by b.closedOn desc, b.code limit :most")
    List<Batch> lastClosed(int most);

    @Query("select b.id from Batch b where b.stuckOn is not null")
    List<UUID> stuck();

    @Query("select count(b) from Batch b where b.closedOn is not null")
    long countClosed();

    /** What evidence needs of each batch, without its longer texts. */
    @Query(
            "select b.id as id, b.changes as changes, b.plantName as plant, b.plantGroup as plantGroup, b.method as method,"
                    + " b.medium as medium, b.treatment as treatment, b.stuck as stuck, b.taken as taken, b.takenOn as takenOn, b.stuckOn as stuckOn,"
                    + " b.slowing as slower, b.thinning as poorer, b.closedOn as closedOn"
                    + " from Batch b where b.clockOn is not null")
    List<EvidenceRow> forEvidence();

    /** What a family needs of each batch. */
    @Query(
            "select b.code as code, b.id as id, b.stockPlantId as stockPlantId, b.fromBatchId as fromBatchId,"
                    + " b.plantName as plant, b.plantGroup as plantGroup, b.method as method, b.medium as medium,"
                    + " b.treatment as treatment, b.takenOn as takenOn, b.taken as taken, b.stuck as stuck, b.ready as ready, b.lost as lost,"
                    + " b.sent as sent, b.youngPlants as youngPlants, b.piecesPerPot as piecesPerPot, b.closedOn as closedOn from Batch b order by b.takenOn, b.code")
    List<KinRow> kin();

    interface KinRow {
        String getCode();

        UUID getId();

        UUID getStockPlantId();

        UUID getFromBatchId();

        String getPlant();

        String getPlantGroup();

        String getMethod();

        String getMedium();

        String getTreatment();

        LocalDate getTakenOn();

        int getTaken();

        Integer getStuck();

        int getReady();

        int getLost();

        int getSent();

        int getYoungPlants();

        int getPiecesPerPot();

        LocalDate getClosedOn();
    }

    /** Batches whose code, old code or plant holds the words. */
    @Query("select b from Batch b where b.code like concat('%', :words, '%') or b.oldCode like concat('%', :words, '%')"
            + " or b.plantName like concat('%', :words, '%') order by case when b.closedOn is null then 0 else 1 end, b.takenOn desc"
            + " limit :most")
    List<Batch> like(String words, int most);

    interface EvidenceRow {
        UUID getId();

        int getChanges();

        String getPlant();

        String getPlantGroup();

        String getMethod();

        String getMedium();

        String getTreatment();

        int getStuck();

        int getTaken();

        LocalDate getTakenOn();

        LocalDate getStuckOn();

        double getSlower();

        double getPoorer();

        LocalDate getClosedOn();
    }
}
