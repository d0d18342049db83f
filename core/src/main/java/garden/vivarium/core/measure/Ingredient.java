package garden.vivarium.core.measure;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What ingredients of a mix are there for, and what does when one is missing. */
public final class Ingredient {

    /** More than a fifth of a mix is not left out. */
    private static final double MAY_BE_LEFT_OUT = 0.2;

    /** What an ingredient does in a mix. */
    public enum Role {
        /** It is what roots live in: holds water and food. */
        BODY,
        /** It opens the mix, so that air reaches the roots. */
        OPENS,
        /** It holds water without closing the mix. */
        HOLDS
    }

    /** What is said where one is missing. */
    public enum Advice implements Rule {
        /** The {@code other} does the same, measure for measure. */
        REPLACE_OPENS,
        REPLACE_HOLDS,
        REPLACE_BODY,
        /** It may be left out: another does its work. */
        LEAVE_OUT,
        /** Nothing does what it does: the mix is another without it. */
        WAIT_FOR_IT,
        /** Nobody here knows what it is for. */
        NOT_KNOWN
    }

    /** In the order in which one stands in for another. */
    private static final Map<Role, List<String>> KNOWN = known();

    /** Whether it raises dust that harms. */
    private static final Set<String> DUSTY = Set.of("perlite", "vermiculite", "pumice", "sand", "peat", "coir");

    private Ingredient() {}

    private static Map<Role, List<String>> known() {
        Map<Role, List<String>> known = new LinkedHashMap<>();
        known.put(Role.OPENS, List.of("perlite", "pumice", "grit", "expanded clay", "sand", "bark"));
        known.put(Role.HOLDS, List.of("vermiculite", "long-fibre moss", "moss"));
        known.put(Role.BODY, List.of("peat-free compost", "coir", "leaf mould", "peat", "loam", "compost"));
        return known;
    }

    /** What an ingredient does; empty where nobody here knows it. */
    public static Optional<Role> role(String what) {
        String name = what.toLowerCase(Locale.ROOT);
        return KNOWN.entrySet().stream()
                .filter(e -> e.getValue().stream().anyMatch(name::contains))
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** Whether any of them raises dust. */
    public static boolean isDusty(Set<String> names) {
        return names.stream()
                .map(n -> n.toLowerCase(Locale.ROOT))
                .anyMatch(n -> DUSTY.stream().anyMatch(n::contains));
    }

    /**
     * What can be done without one of a mix.
     *
     * @param why in a sentence
     * @param instead the mix then; empty where there is none
     */
    public record Without(Statement why, Optional<Mix> instead) {}

    /**
     * What can be done where an ingredient is missing: another that does the same, what is at hand first; without it, where it is a fifth or
     * less and another of its kind stays.
     *
     * @param missing the ingredient, as the mix names it
     * @param atHand what is in the shed
     * @throws IllegalArgumentException if the mix has no such ingredient
     */
    public static List<Without> without(Mix mix, String missing, Set<String> atHand) {
        Double part = mix.parts().get(missing);
        if (part == null) {
            throw new IllegalArgumentException("“%s” is not in this mix".formatted(missing));
        }
        Optional<Role> role = role(missing);
        if (role.isEmpty()) {
            return List.of(new Without(Statement.of(Advice.NOT_KNOWN, "what", missing), Optional.empty()));
        }
        double all = mix.parts().values().stream().mapToDouble(p -> p).sum();
        List<Without> found = new ArrayList<>();
        KNOWN.get(role.get()).stream()
                .filter(other -> mix.parts().keySet().stream()
                        .map(p -> p.toLowerCase(Locale.ROOT))
                        .noneMatch(p -> p.contains(other) || other.contains(p)))
                .sorted(Comparator.comparing((String other) -> atHand.stream()
                        .noneMatch(h -> h.toLowerCase(Locale.ROOT).contains(other))))
                .limit(2)
                .forEach(other -> found.add(new Without(
                        Statement.of(
                                switch (role.get()) {
                                    case OPENS -> Advice.REPLACE_OPENS;
                                    case HOLDS -> Advice.REPLACE_HOLDS;
                                    case BODY -> Advice.REPLACE_BODY;
                                },
                                "what",
                                missing,
                                "other",
                                other,
                                "heavy",
                                other.equals("grit") || other.equals("sand")),
                        Optional.of(swapped(mix, missing, Optional.of(other))))));
        boolean another = mix.parts().keySet().stream().anyMatch(o -> !o.equals(missing) && role(o).equals(role));
        if (part / all <= MAY_BE_LEFT_OUT && another && role.get() != Role.BODY) {
            found.add(new Without(
                    Statement.of(Advice.LEAVE_OUT, "what", missing, "share", Math.round(100 * part / all)),
                    Optional.of(swapped(mix, missing, Optional.empty()))));
        }
        if (found.isEmpty()) {
            found.add(new Without(Statement.of(Advice.WAIT_FOR_IT, "what", missing), Optional.empty()));
        }
        return found;
    }

    private static Mix swapped(Mix mix, String missing, Optional<String> other) {
        Map<String, Double> parts = new LinkedHashMap<>(mix.parts());
        double part = parts.remove(missing);
        other.ifPresent(o -> parts.merge(o, part, Double::sum));
        return new Mix(parts);
    }
}
