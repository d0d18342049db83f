package garden.vivarium.core;

import java.util.List;

/**
 * How a number came about, with the figures filled in: what the margin shows and what a test can read.
 *
 * @param title the question that the number answers
 * @param steps the steps in order, never empty
 */
public record Working(String title, List<Step> steps) {

    public Working {
        steps = List.copyOf(steps);
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("a working has at least one step");
        }
    }

    /** A working of the given steps. */
    public static Working of(String title, Step... steps) {
        return new Working(title, List.of(steps));
    }

    /**
     * One step.
     *
     * @param says what is done, in words
     * @param figures the formula with its numbers, or the empty text
     */
    public record Step(String says, String figures) {}

    /** One step. */
    public static Step step(String says, String figures) {
        return new Step(says, figures);
    }
}
