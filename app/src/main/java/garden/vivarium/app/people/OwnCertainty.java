package garden.vivarium.app.people;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.SignedIn;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How sure somebody wants to be, in per cent, as they chose last: for plans of their own, and for what was promised. */
@Service
public class OwnCertainty {

    /** Nine times in ten. */
    private static final int OF_PROMISES = 90;
    /** Three times in four: so sure one is enough for a few plants of one's own. */
    private static final int OF_A_FEW = 75;

    private static final int A_FEW = 12;

    private final PersonRepository people;
    private final CurrentNursery current;

    OwnCertainty(PersonRepository people, CurrentNursery current) {
        this.people = people;
        this.current = current;
    }

    /**
     * What is asked where nobody says.
     *
     * @param promised whether the plants are promised to somebody
     * @param wanted how many
     */
    @Transactional(readOnly = true)
    public int usual(boolean promised, int wanted) {
        Optional<Integer> chosen = me().flatMap(p -> Optional.ofNullable(promised ? p.surePromised() : p.sureOwn()));
        return chosen.orElse(promised || wanted > A_FEW ? OF_PROMISES : OF_A_FEW);
    }

    /** So sure they wanted to be: that is what is asked next time. What was asked anyway is no choice: few and many keep their own usual. */
    @Transactional
    public void chose(boolean promised, int wanted, int sure) {
        if (sure != usual(promised, wanted)) {
            me().ifPresent(p -> p.wantsToBeSure(promised, sure));
        }
    }

    private Optional<Person> me() {
        return current.person().map(SignedIn::personId).flatMap(people::findById);
    }
}
