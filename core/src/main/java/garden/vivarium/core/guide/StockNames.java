package garden.vivarium.core.guide;

import garden.vivarium.core.naming.Called;
import garden.vivarium.core.naming.NameReader;
import garden.vivarium.core.naming.NameReading;
import garden.vivarium.core.naming.NameWords;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Tells which plant of a nursery a typed name means, or which kind that it does not have: "skerry", "the fuchsia", "bollard
 * rosemaries". A plant that stands there goes before a kind that does not.
 */
public final class StockNames<P> {

    /** Shorter words of a plant's own name are no name of it alone. */
    private static final int SHORTEST_OWN_WORD = 4;

    private final List<Standing<P>> standing;
    private final Map<String, PlantKind> own;
    private final NameReader<Meaning<P>> reader;

    /**
     * A plant that stands in the nursery.
     *
     * @param plant itself
     * @param name its plant's name, a selection in quotes
     * @param kind key of its kind; empty where the guide does not know it
     * @param group key of its group
     */
    public record Standing<P>(P plant, String name, String kind, String group) {}

    /** A plant that stands here, or a kind. */
    private record Meaning<P>(Optional<Standing<P>> plant, Optional<PlantKind> kind) {}

    /**
     * What a name means.
     *
     * @param taken the plant that it is taken for; empty where it must be asked, or where none has the name
     * @param wanted the kind that it is taken for where no plant of that stands here
     * @param asWritten whether what is taken is written as it is known
     * @param plants that may be meant, the best first
     * @param kinds that may be meant and of which none stands here, the best first
     */
    public record Reading<P>(
            Optional<P> taken, Optional<PlantKind> wanted, boolean asWritten, List<P> plants, List<PlantKind> kinds) {}

    /**
     * Reads names of these plants.
     *
     * @param guide its kinds, and words that stand beside names
     * @param standing plants, those first that are meant where several of one name stand
     * @param own kinds by the names that the nursery has given to what behaves like them
     */
    public StockNames(Guide guide, List<Standing<P>> standing, Map<String, PlantKind> own) {
        this.standing = List.copyOf(standing);
        this.own = Map.copyOf(own);
        List<Called<Meaning<P>>> things = new ArrayList<>();
        standing.forEach(s -> things.add(called(guide, s)));
        guide.kinds().forEach(k -> {
            Called<PlantKind> kind = KindNames.called(k);
            things.add(new Called<>(
                    new Meaning<>(Optional.empty(), Optional.of(k)), kind.group(), kind.names(), kind.latin()));
        });
        own.forEach((name, kind) -> things.add(new Called<>(
                new Meaning<>(Optional.empty(), Optional.of(kind)), kind.group(), List.of(name), List.of())));
        this.reader = NameReader.ofSelections(guide.names().lexicon(), things);
    }

    /** Whether these are the plants and names that it reads. */
    public boolean isOf(List<Standing<P>> others, Map<String, PlantKind> ownNow) {
        return standing.equals(others) && own.equals(ownNow);
    }

    private static <P> Called<Meaning<P>> called(Guide guide, Standing<P> s) {
        Optional<Called<PlantKind>> kind = guide.kind(s.kind()).map(KindNames::called);
        List<String> names = new ArrayList<>(List.of(s.name()));
        NameWords.selection(s.name()).ifPresent(names::add);
        kind.ifPresent(k -> names.addAll(k.names()));
        Set<String> ofKind = kind.stream()
                .flatMap(k -> k.names().stream())
                .flatMap(n -> NameWords.of(n).stream())
                .collect(Collectors.toCollection(HashSet::new));
        NameWords.of(s.name()).stream()
                .filter(w -> w.length() >= SHORTEST_OWN_WORD && !ofKind.contains(w))
                .forEach(names::add);
        return new Called<>(
                new Meaning<>(Optional.of(s), Optional.empty()),
                s.group(),
                names,
                kind.map(Called::latin).orElse(List.of()));
    }

    /** What a name means here. */
    public Reading<P> read(String typed) {
        NameReading<Meaning<P>> read = reader.read(typed);
        List<Standing<P>> plants =
                read.meanings().stream().flatMap(m -> m.plant().stream()).toList();
        List<PlantKind> kinds =
                read.meanings().stream().flatMap(m -> m.kind().stream()).toList();
        boolean isWhole = read.isWhole();
        // Two plants of one name are one plant that stands twice.
        boolean isOne =
                isWhole && plants.stream().map(Standing::name).distinct().count() == 1;
        boolean isKind = isWhole && plants.isEmpty() && kinds.size() == 1;
        Set<String> here = plants.stream().map(Standing::kind).collect(Collectors.toSet());
        return new Reading<>(
                isOne ? Optional.of(plants.get(0).plant()) : Optional.empty(),
                isKind ? Optional.of(kinds.get(0)) : Optional.empty(),
                read.isAsWritten(),
                plants.stream().map(Standing::plant).toList(),
                kinds.stream().filter(k -> !here.contains(k.key())).toList());
    }
}
