package garden.vivarium.app.stock;

import garden.vivarium.core.Grown;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PieceSort;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.Shoots;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Which sorts of piece a plant can give, and how each bears being taken. Templates call it as {@code @sorts}. */
@Component("sorts")
public class Sorts {

    /** Pieces of whatever sort, of plants of which nobody knows what they give. */
    public static final String ANY = "";

    private final Guide guide;

    Sorts(Guide guide) {
        this.guide = guide;
    }

    /** The sorts that a plant can give: its kind's or, where that is not known, those that its group's ways draw on. */
    public List<PieceSort> of(Grown plant) {
        Optional<PlantKind> kind = guide.kind(plant.kind());
        if (kind.isPresent()) {
            return guide.given(kind.get());
        }
        Set<String> keys = guide.suiting(plant.group()).stream()
                .map(p -> guide.sortOf(p.method()).key())
                .collect(Collectors.toSet());
        return guide.sorts().stream()
                .filter(s -> keys.contains(s.key()))
                .map(s -> s.in(plant.group()))
                .toList();
    }

    /** The sort that is meant where nobody says which: that of the commonest way of its kind; any where that is not known. */
    public String usual(Grown plant) {
        return guide.kind(plant.kind())
                .flatMap(k -> k.methods().stream().findFirst())
                .map(m -> guide.sortOf(m).key())
                .orElse(ANY);
    }

    /** The sort that a method draws on, called as plants of a group have it. */
    public PieceSort drawnOn(String method, String group) {
        return guide.sortOf(method, group);
    }

    /** What a sort is called in plants of a group: "shoot tips", or "pieces" where nobody knows which. */
    public String words(String sort, String group) {
        return guide.sort(sort)
                .map(s -> group == null ? s : s.in(group))
                .map(PieceSort::words)
                .orElse("pieces");
    }

    /** "214 shoot tips", "1 piece". */
    public String count(String sort, String group, int number) {
        return guide.sort(sort)
                .map(s -> s.in(group).count(number))
                .orElse(number + (number == 1 ? " piece" : " pieces"));
    }

    /** "60 shoot tips, 12 leaves". */
    public String counts(Map<String, Integer> numbers, String group) {
        return numbers.entrySet().stream()
                .map(c -> count(c.getKey(), group, c.getValue()))
                .collect(Collectors.joining(", "));
    }

    /** What sorts of piece share a shoot of a plant. */
    Shoots shoots(Grown plant) {
        return guide.shoots(plant);
    }

    /** How a plant of the group bears a sort being taken. */
    PlantGroup.Rhythm rhythm(String group, String sort) {
        PlantGroup known = guide.group(group).orElseGet(() -> guide.groups().get(0));
        return guide.sort(sort).map(s -> s.rhythm(known)).orElse(known.rhythm());
    }
}
