package garden.vivarium.app.shed;

import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.core.Grown;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PieceSort;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.guide.Verdict;
import garden.vivarium.core.naming.NameReading;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.StringUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The guide's kinds of plant, to read. */
@Controller
@RequestMapping("/guide/kinds")
class KindController {

    private static final int LONGEST_NAME = 120;
    private static final String GROUP = "group";

    private final Guide guide;
    private final Evidence evidence;
    private final People people;

    KindController(Guide guide, Evidence evidence, People people) {
        this.guide = guide;
        this.evidence = evidence;
        this.people = people;
    }

    @GetMapping
    String kinds(@RequestParam(required = false) String name, @RequestParam(required = false) String by, Model model) {
        String typed = name == null ? "" : name.strip();
        String asked = typed.substring(0, Math.min(typed.length(), LONGEST_NAME));
        List<PlantKind> kinds = asked.isEmpty() ? List.of() : named(asked);
        NameReading<PlantKind> read = guide.names().read(asked);
        model.addAttribute("name", typed);
        model.addAttribute("kinds", kinds.isEmpty() ? read.meanings() : kinds);
        model.addAttribute("near", kinds.isEmpty() && !read.meanings().isEmpty());
        boolean byGroup = GROUP.equals(by);
        model.addAttribute("byGroup", byGroup);
        model.addAttribute("heads", byGroup ? groups() : letters());
        model.addAttribute("count", guide.kinds().size());
        model.addAttribute(
                "raised",
                guide.kinds().stream()
                        .filter(k -> !k.isRaisedByPieces())
                        .collect(Collectors.toMap(
                                PlantKind::key, k -> guide.raised(k).orElseThrow())));
        model.addAttribute(
                "groups", guide.groups().stream().collect(Collectors.toMap(PlantGroup::key, Function.identity())));
        return "shed/kinds";
    }

    /** Kinds in any name of which the words stand, and what the name as a whole means before them. */
    private List<PlantKind> named(String asked) {
        NameReading<PlantKind> read = guide.names().read(asked);
        String words = asked.toLowerCase(Locale.ROOT);
        Stream<PlantKind> holding = guide.kinds().stream()
                .filter(k ->
                        k.names().all().anyMatch(n -> n.toLowerCase(Locale.ROOT).contains(words)))
                .sorted((a, b) -> a.title().compareToIgnoreCase(b.title()));
        Stream<PlantKind> meant = read instanceof NameReading.Unknown ? Stream.of() : read.meanings().stream();
        return Stream.concat(meant, holding).distinct().toList();
    }

    /** All kinds by the letter that they begin with. */
    private Map<String, List<PlantKind>> letters() {
        return guide.kinds().stream()
                .sorted((a, b) -> a.title().compareToIgnoreCase(b.title()))
                .collect(Collectors.groupingBy(
                        k -> k.title().substring(0, 1).toUpperCase(Locale.ROOT), TreeMap::new, Collectors.toList()));
    }

    /** All kinds by what their group is called, in the guide's order of groups. */
    private Map<String, List<PlantKind>> groups() {
        Map<String, List<PlantKind>> kinds = new LinkedHashMap<>();
        guide.groups()
                .forEach(g -> kinds.put(
                        StringUtils.capitalize(g.words()),
                        guide.kinds().stream()
                                .filter(k -> k.group().equals(g.key()))
                                .sorted((a, b) -> a.title().compareToIgnoreCase(b.title()))
                                .toList()));
        return kinds;
    }

    /** A part of the page: ways that are usual or possible, or methods that are never used with why. */
    record Part(String title, List<Protocol> ways, Map<String, String> never) {}

    @GetMapping("/{key}")
    String kind(@PathVariable String key, Model model) {
        PlantKind kind = guide.kind(key).orElseThrow(() -> new NotFound(Messages.text("KindController.no.such.kind")));
        Map<String, String> never = new LinkedHashMap<>();
        // Of what is not raised by pieces one reason holds for all of them.
        guide.methods().stream()
                .filter(m -> kind.isRaisedByPieces())
                .filter(m -> kind.verdict(m.name()) == Verdict.NEVER)
                .forEach(m -> never.put(m.name(), guide.whyNever(kind, m)));
        model.addAttribute("kind", kind);
        model.addAttribute("raised", guide.raised(kind).orElse(null));
        model.addAttribute("hemisphere", people.hemisphere());
        model.addAttribute("group", guide.group(kind.group()).orElseThrow());
        model.addAttribute(
                "sorts", guide.given(kind).stream().map(PieceSort::words).toList());
        model.addAttribute(
                "parts",
                List.of(
                                new Part("Usual", ways(kind, Verdict.USUAL), Map.of()),
                                new Part("Possible", ways(kind, Verdict.POSSIBLE), Map.of()),
                                new Part("Never", List.of(), never))
                        .stream()
                        .filter(p -> !p.ways().isEmpty() || !p.never().isEmpty())
                        .toList());
        model.addAttribute("cautions", guide.cautions(new Grown(kind.names().name(), key, kind.group())));
        model.addAttribute(
                "own",
                evidence.record().ways().entrySet().stream()
                        .filter(e -> e.getKey().kind().equals(key))
                        .mapToInt(e -> e.getValue().size())
                        .sum());
        return "shed/kind";
    }

    private List<Protocol> ways(PlantKind kind, Verdict verdict) {
        return guide.offered(Optional.of(kind), kind.group(), guide.protocols()).stream()
                .filter(o -> o.verdict() == verdict)
                .map(o -> guide.fitted(o.protocol(), new Grown(kind.names().name(), kind.key(), kind.group())))
                .toList();
    }
}
