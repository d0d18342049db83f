package garden.vivarium.app.people;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface MembershipRepository extends JpaRepository<Membership, UUID> {

    @Query("select m from Membership m where m.nurseryId = :nursery and m.leftAt is null")
    List<Membership> ofNursery(UUID nursery);

    @Query("select m from Membership m where m.personId = :person and m.leftAt is null")
    List<Membership> ofPerson(UUID person);

    @Query("select m from Membership m where m.personId = :person and m.nurseryId = :nursery")
    Optional<Membership> of(UUID person, UUID nursery);
}
