package garden.vivarium.app.people;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.SignedIn;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;

/** How sure is asked where nobody says: as chosen last, and a few for oneself less than many or what is promised. */
class OwnCertaintyTest {

    private final UUID wren = UUID.randomUUID();
    private final Person person = Mockito.mock(Person.class, Mockito.CALLS_REAL_METHODS);
    private final PersonRepository people = Mockito.mock(PersonRepository.class);
    private final CurrentNursery current = Mockito.mock(CurrentNursery.class);
    private final OwnCertainty certainty = new OwnCertainty(people, current);

    @BeforeEach
    void somebodyIsSignedIn() {
        SignedIn signedIn = Mockito.mock(SignedIn.class);
        Mockito.when(signedIn.personId()).thenReturn(wren);
        Mockito.when(current.person()).thenReturn(Optional.of(signedIn));
        Mockito.when(people.findById(wren)).thenReturn(Optional.of(person));
    }

    @Test
    void aFewForOneselfAreAskedThreeTimesInFour() {
        assertThat(certainty.usual(false, 12)).isEqualTo(75);
        assertThat(certainty.usual(false, 13)).isEqualTo(90);
        assertThat(certainty.usual(true, 2)).isEqualTo(90);
    }

    @Test
    void whatWasAskedAnywayIsNoChoice() {
        certainty.chose(false, 5, 75);

        assertThat(certainty.usual(false, 72)).isEqualTo(90);
    }

    @Test
    void aChoiceIsRememberedForOwnPlansAndPromisesApart() {
        certainty.chose(false, 5, 80);

        assertThat(certainty.usual(false, 72)).isEqualTo(80);
        assertThat(certainty.usual(true, 72)).isEqualTo(90);
    }
}
