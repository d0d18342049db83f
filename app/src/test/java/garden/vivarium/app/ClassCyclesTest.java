package garden.vivarium.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** No class leads back to itself by way of others, in core or app. A class stands together with those nested in it. */
class ClassCyclesTest {

    private final Map<String, Set<String>> uses = new TreeMap<>();
    private final Map<String, Integer> index = new HashMap<>();
    private final Map<String, Integer> low = new HashMap<>();
    private final Deque<String> open = new ArrayDeque<>();
    private final List<Set<String>> circles = new ArrayList<>();

    @Test
    void noCircleOfClasses() {
        JavaClasses all = new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages("garden.vivarium");
        for (JavaClass c : all) {
            Set<String> of = uses.computeIfAbsent(outermost(c), k -> new TreeSet<>());
            for (Dependency d : c.getDirectDependenciesFromSelf()) {
                JavaClass target = d.getTargetClass().getBaseComponentType();
                if (target.getPackageName().startsWith("garden.vivarium")
                        && !outermost(target).equals(outermost(c))) {
                    of.add(outermost(target));
                }
            }
        }
        assertThat(uses).as("classes read").hasSizeGreaterThan(300);

        uses.keySet().stream().filter(c -> !index.containsKey(c)).forEach(this::visit);

        assertThat(circles).isEmpty();
    }

    private static String outermost(JavaClass c) {
        JavaClass outer = c;
        while (outer.getEnclosingClass().isPresent()) {
            outer = outer.getEnclosingClass().get();
        }
        return outer.getName();
    }

    /** Tarjan's strongly connected components. */
    private void visit(String c) {
        index.put(c, index.size());
        low.put(c, index.get(c));
        open.push(c);
        for (String used : uses.getOrDefault(c, Set.of())) {
            if (!index.containsKey(used)) {
                visit(used);
                low.merge(c, low.get(used), Math::min);
            } else if (open.contains(used)) {
                low.merge(c, index.get(used), Math::min);
            }
        }
        if (low.get(c).equals(index.get(c))) {
            Set<String> circle = new TreeSet<>();
            String last;
            do {
                last = open.pop();
                circle.add(last);
            } while (!last.equals(c));
            if (circle.size() > 1) {
                circles.add(circle);
            }
        }
    }
}
