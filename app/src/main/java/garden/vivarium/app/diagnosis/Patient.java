package garden.vivarium.app.diagnosis;

import garden.vivarium.app.care.Subject;
import garden.vivarium.core.guide.Circumstance;
import java.util.List;
import java.util.Set;

/**
 * What something is seen on.
 *
 * @param subject the batch or stock plant
 * @param plant its plant's name
 * @param circumstances what is so with it, by which causes are weighed
 * @param facts the same in words, with figures
 */
record Patient(Subject subject, String plant, Set<Circumstance> circumstances, List<String> facts) {}
