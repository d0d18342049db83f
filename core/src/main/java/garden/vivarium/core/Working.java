package garden.vivarium.core;

import java.util.List;

/**
 * How a number came about, step by step, with the figures filled in: what the margin shows and what a test can read.
 *
 * @param question the question that the number answers
 * @param steps the steps in order, never empty
 */
public record Working(Statement question, List<Statement> steps) {

    public Working {
        steps = List.copyOf(steps);
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("a working has at least one step");
        }
    }

    /** A working of the given steps. */
    public static Working of(Statement question, Statement... steps) {
        return new Working(question, List.of(steps));
    }
}
