package garden.vivarium.app.plan;

import java.util.List;

/**
 * What is said where an aim cannot be met by a way.
 *
 * @param head what it comes to
 * @param why in a sentence
 * @param options what could be done instead, or beside; one at least
 */
record CannotBeDone(Head head, String why, List<Option> options) {

    /** What it comes to. */
    enum Head {
        /** All that was counted, which is less sure than was asked: it can be done all the same. */
        ALL_THERE_IS,
        /** The day asked for comes too soon, however many are taken. */
        TOO_SOON,
        CANNOT
    }

    /** Whether the way cannot be taken at all as asked. */
    boolean stops() {
        return head != Head.ALL_THERE_IS;
    }

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
