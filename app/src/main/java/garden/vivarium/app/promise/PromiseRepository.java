package garden.vivarium.app.promise;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface PromiseRepository extends JpaRepository<Promise, UUID> {

    List<Promise> findByState(PromiseState state);

    @Query("select p from Promise p where p.state <> :state order by p.closedOn desc, p.who limit 20")
    List<Promise> lastNot(PromiseState state);

    @Query("select coalesce(max(p.placeInLine), 0) from Promise p where p.plantId = :plant")
    int lastInLine(UUID plant);

    /** Promises of a plant are of what it is called now. */
    @Modifying(clearAutomatically = true)
    @Query("update Promise p set p.plantId = :now, p.plantName = :name where p.plantId = :before")
    void follow(UUID before, UUID now, String name);
}
