package garden.vivarium.app.people;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.core.measure.UnitSystem;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** In which units somebody reads measures; each for themselves, in all their nurseries. */
@Service
public class OwnUnits {

    private final PersonRepository people;
    private final WorkplaceSwitch session;
    private final CurrentNursery current;

    OwnUnits(PersonRepository people, WorkplaceSwitch session, CurrentNursery current) {
        this.people = people;
        this.session = session;
        this.current = current;
    }

    /** From now on they read measures in these units. */
    @Transactional
    public void choose(UnitSystem units, HttpServletRequest request, HttpServletResponse response) {
        SignedIn me = current.person().orElseThrow();
        people.findById(me.personId()).ifPresent(p -> p.measuresIn(units));
        people.flush();
        session.goTo(me.nurseryId(), request, response);
    }
}
