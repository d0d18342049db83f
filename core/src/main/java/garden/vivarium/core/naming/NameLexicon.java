package garden.vivarium.core.naming;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * Words that stand beside names.
 *
 * @param fillers that say nothing of which plant it is: "young", "cutting", "potted"
 * @param common names of so many plants that one of them alone decides nothing: "orchid", "palm"
 * @param habits how a plant grows, by the groups of which it may be said: an olive is a tree, a tulip is none
 */
public record NameLexicon(Set<String> fillers, Set<String> common, Map<String, Set<String>> habits) {

    /** Words as people write them, brought into the form in which they are compared. */
    public static NameLexicon of(List<String> fillers, List<String> common, Map<String, List<String>> habits) {
        UnaryOperator<String> form = w -> NameWords.single(w.toLowerCase(java.util.Locale.ROOT));
        return new NameLexicon(
                fillers.stream().map(form).collect(Collectors.toUnmodifiableSet()),
                common.stream().map(form).collect(Collectors.toUnmodifiableSet()),
                habits.entrySet().stream()
                        .collect(Collectors.toUnmodifiableMap(
                                e -> form.apply(e.getKey()), e -> Set.copyOf(e.getValue()))));
    }

    /** Whether a word says nothing of which plant it is. */
    boolean isFiller(String word) {
        return fillers.contains(word);
    }

    /** Whether a word alone names nothing: a filler, a habit, or a name of many. */
    boolean decidesNothing(String word) {
        return fillers.contains(word) || common.contains(word) || habits.containsKey(word);
    }

    /** Whether a word says how plants of a group grow. */
    boolean fits(String word, String group) {
        return habits.getOrDefault(word, Set.of()).contains(group);
    }
}
