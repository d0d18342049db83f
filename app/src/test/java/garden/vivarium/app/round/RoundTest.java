package garden.vivarium.app.round;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.core.timing.Climate;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** However long the walk, the page holds what is looked at now. */
class RoundTest {

    private static Round.Stop stop(int number, int things) {
        PlaceView place = new PlaceView(
                UUID.nameUUIDFromBytes(new byte[] {(byte) number}), "P" + number, Climate.HEATED, number, null, "");
        List<Item> items = IntStream.range(0, things)
                .<Item>mapToObj(i -> new Item.OtherTask(
                        place, Verb.AIR, new Item.Subject("", "/round#" + i, ""), "what", "why", false, List.of()))
                .toList();
        return new Round.Stop(place, List.of(new Round.Group(Sort.OTHER, items)), List.of());
    }

    @Test
    void aShortWalkIsShownWhole() {
        Round round = new Round(List.of(stop(1, 12), stop(2, 12), stop(3, 30)), List.of(), List.of(), 54);
        assertThat(round.showsAll(null)).isTrue();
        assertThat(round.stops().get(2).groups().get(0).more()).isEqualTo(18);
    }

    @Test
    void ofALongWalkThePlacesThatComeFirstAreShownAndTheOneThatIsOpened() {
        List<Round.Stop> stops =
                IntStream.rangeClosed(1, 20).mapToObj(n -> stop(n, 12)).toList();
        Round round = new Round(stops, List.of(), List.of(), 240);
        assertThat(round.showsAll(null)).isFalse();
        assertThat(stops.stream().filter(s -> round.shows(s, null))).containsExactlyElementsOf(stops.subList(0, 3));
        UUID last = stops.get(19).place().id();
        assertThat(round.shows(stops.get(19), last)).isTrue();
        assertThat(round.shows(stops.get(18), last)).isFalse();
        assertThat(round.due()).isEqualTo(240);
    }

    @Test
    void theFirstPlaceIsShownHoweverMuchIsDueThere() {
        List<Item> looks = IntStream.range(0, 9)
                .mapToObj(n -> stop(1, 30).groups().get(0).items())
                .flatMap(List::stream)
                .toList();
        List<Round.Group> groups = IntStream.range(0, 9)
                .mapToObj(n -> new Round.Group(Sort.OTHER, looks.subList(30 * n, 30 * n + 30)))
                .toList();
        Round.Stop crowded = new Round.Stop(stop(1, 1).place(), groups, List.of());
        Round round = new Round(List.of(crowded, stop(2, 3)), List.of(), List.of(), 273);
        assertThat(round.shows(crowded, null)).isTrue();
        assertThat(round.shows(round.stops().get(1), null)).isFalse();
    }

    @Test
    void ofWhatComesTheFirstDaysAreShownAndTheRestIsOneTouchAway() {
        List<Item.BatchTask> coming = Collections.nCopies(25, new Item.BatchTask(null, null));
        Round round = new Round(List.of(stop(1, 2)), coming, List.of(), 27);
        assertThat(round.soon()).hasSize(20);
        assertThat(round.more()).isEqualTo(5);
        assertThat(round.showsAll(null)).isFalse();
        Round quiet = new Round(List.of(stop(1, 2)), coming.subList(0, 20), List.of(), 22);
        assertThat(quiet.more()).isZero();
        assertThat(quiet.showsAll(null)).isTrue();
    }
}
