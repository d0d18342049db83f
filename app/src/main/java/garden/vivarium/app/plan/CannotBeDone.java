package garden.vivarium.app.plan;

import java.util.List;

/**
 * What is said where an aim cannot be met by a way.
 *
 * @param why in a sentence
 * @param options what could be done instead; one at least
 */
record CannotBeDone(String why, List<Option> options) {

    CannotBeDone {
        options = List.copyOf(options);
    }

    /**
     * One thing that could be done.
     *
     * @param words in a sentence
     * @param address where that is done; null where there is no page for it
     */
    record Option(String words, String address) {}
}
