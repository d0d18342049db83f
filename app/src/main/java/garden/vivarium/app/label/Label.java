package garden.vivarium.app.label;

import java.util.List;
import java.util.Optional;

/**
 * What stands on a label.
 *
 * @param plant the plant's name
 * @param code what it is called here: the code of the batch or stock plant
 * @param lines what else is said, the most wanted first
 * @param sign how it was made, or which way of a trial it is; none for a stock plant
 * @param address where its page is, for the square code
 */
record Label(String plant, String code, List<String> lines, Optional<LabelSign> sign, String address) {

    Label {
        lines = List.copyOf(lines);
    }
}
