package garden.vivarium.app.people;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PersonRepository extends JpaRepository<Person, UUID> {

    @Query("select p from Person p where p.signIn = :signIn")
    Optional<Person> findBySignIn(String signIn);
}
