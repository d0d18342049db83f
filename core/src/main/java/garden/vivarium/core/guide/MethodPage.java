package garden.vivarium.core.guide;

import garden.vivarium.core.measure.Prose;
import java.util.List;
import java.util.Optional;

/**
 * How a method is done: a page of the bench book.
 *
 * @param method name of the method
 * @param what it is, in a sentence
 * @param steps in order
 * @param looksFor what to look for
 * @param wrong what goes wrong, and what then
 */
public record MethodPage(String method, String what, List<Step> steps, List<String> looksFor, List<Wrong> wrong) {

    /** A step, and the name of the drawing that shows it. */
    public record Step(Prose does, Optional<String> draws) {}

    /** What is seen when it goes wrong, and what to do then. */
    public record Wrong(String seen, String then) {}
}
