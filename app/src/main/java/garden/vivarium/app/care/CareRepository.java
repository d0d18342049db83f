package garden.vivarium.app.care;

import garden.vivarium.core.guide.CareAct;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CareRepository extends JpaRepository<Care, UUID> {

    @Query("select c from Care c where c.subjectId = :subject order by coalesce(c.doneOn, c.dueOn) desc, c.madeAt desc")
    List<Care> of(UUID subject);

    @Query("select c from Care c where c.doneOn is null and c.dueOn <= :day order by c.dueOn")
    List<Care> due(LocalDate day);

    @Query("select c from Care c where c.outcome is null and c.doneOn is not null and c.askOn <= :day order by c.askOn")
    List<Care> asking(LocalDate day);

    List<Care> findByCourse(UUID course);

    @Query(
            "select c.what as what, c.outcome as outcome, count(c) as times from Care c where c.outcome is not null group by c.what,"
                    + " c.outcome")
    List<Told> outcomes();

    /** When each act was done last for each subject, and for each move, since a day. */
    @Query(
            "select c.subjectId as subject, c.about as about, c.act as act, max(c.doneOn) as doneOn, count(c) as times from Care c"
                    + " where c.act is not null and c.doneOn >= :day group by c.subjectId, c.about, c.act")
    List<LastDone> lastDone(LocalDate day);

    interface LastDone {
        UUID getSubject();

        UUID getAbout();

        CareAct getAct();

        LocalDate getDoneOn();

        long getTimes();
    }

    interface Told {
        String getWhat();

        Outcome getOutcome();

        long getTimes();
    }
}
