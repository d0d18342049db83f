package garden.vivarium.app.round;

import garden.vivarium.app.stock.PlaceView;
import java.util.List;
import java.util.Map;

/**
 * Something to do that is no batch's task: care that is due, a stock plant to see to.
 *
 * @param place where
 * @param verb in a word
 * @param code label code of what it concerns
 * @param address its sheet
 * @param name what it is called
 * @param what in words
 * @param why the reason
 * @param pressing whether waiting does harm
 * @param deeds what may be pressed, the first by key
 */
record Errand(
        PlaceView place,
        String verb,
        String code,
        String address,
        String name,
        String what,
        String why,
        boolean pressing,
        List<Deed> deeds) {

    /** A button: what it says, where it goes, with what. An address alone is followed rather than sent. */
    record Deed(String word, String address, boolean sends, Map<String, String> with) {

        static Deed go(String word, String address) {
            return new Deed(word, address, false, Map.of());
        }

        static Deed send(String word, String address, Map<String, String> with) {
            return new Deed(word, address, true, with);
        }
    }
}
