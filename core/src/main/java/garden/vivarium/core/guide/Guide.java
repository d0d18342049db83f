package garden.vivarium.core.guide;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import garden.vivarium.core.Grown;
import garden.vivarium.core.naming.NameLexicon;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The guide as shipped: methods, media, plant groups, cautions, protocols, the bench book and what goes wrong, read from YAML
 * and checked. */
public final class Guide {

    private static final String BLADE = "blade";

    private static final String OPEN_GROUND = "open ground";
    private static final String WATER = "water";

    private static final ObjectMapper YAML = yaml();

    private final Vocabulary words;
    private final List<PlantKind> kinds;
    private final Map<String, PlantKind> kindsByKey;
    private final KindNames names;
    private final WordFinder mediumWords;
    private final WordFinder methodWords;
    private final List<Protocol> protocols;
    private final List<MethodPage> benchBook;
    private final List<Symptom> symptoms;
    private final List<Dispute> disputes;

    private Guide(
            Vocabulary words,
            List<PlantKind> kinds,
            List<Protocol> protocols,
            List<MethodPage> benchBook,
            List<Symptom> symptoms,
            List<Dispute> disputes) {
        this.words = words;
        this.kinds = List.copyOf(kinds);
        this.kindsByKey = kinds.stream()
                .collect(Collectors.toUnmodifiableMap(PlantKind::key, Function.identity(), (one, other) -> one));
        this.names = new KindNames(kinds, words.names().lexicon());
        this.mediumWords = WordFinder.of(words.mediaCalled());
        this.methodWords = WordFinder.of(words.methodsCalled());
        this.protocols = List.copyOf(protocols);
        this.benchBook = List.copyOf(benchBook);
        this.symptoms = List.copyOf(symptoms);
        this.disputes = List.copyOf(disputes);
    }

    private record Vocabulary(
            List<Method> methods,
            List<PieceSort> sorts,
            List<Upkeep> upkeep,
            List<String> media,
            Map<String, List<String>> mediaCalled,
            Map<String, List<String>> methodsCalled,
            List<PlantGroup> groups,
            List<Caution> cautions,
            List<String> protocols,
            List<String> kinds,
            Map<String, List<String>> narrow,
            BesideNames names,
            List<Raised> raised) {}

    private record BesideNames(List<String> fillers, List<String> common, Map<String, List<String>> habits) {
        NameLexicon lexicon() {
            return NameLexicon.of(fillers, common, habits);
        }
    }

    /**
     * Reads the guide that ships with Vivarium.
     *
     * @throws IllegalStateException if a protocol uses a word that the guide does not know
     */
    public static Guide load() {
        return load(Guide.class::getResourceAsStream);
    }

    /** The same from other files of these names. */
    static Guide load(Function<String, InputStream> files) {
        Vocabulary words = read(files, "vocabulary.yaml", new TypeReference<>() {});
        List<Protocol> protocols = words.protocols().stream()
                .flatMap(file ->
                        read(files, "protocols/" + file + ".yaml", new TypeReference<List<Protocol>>() {}).stream())
                .toList();
        List<PlantKind> kinds = words.kinds().stream()
                .flatMap(file -> read(files, "kinds/" + file + ".yaml", new TypeReference<List<JsonNode>>() {}).stream()
                        .map(n -> KindReader.read(n, file)))
                .toList();
        Guide guide = new Guide(
                words,
                kinds,
                protocols,
                read(files, "bench-book.yaml", new TypeReference<>() {}),
                read(files, "signs.yaml", new TypeReference<>() {}),
                read(files, "schools.yaml", new TypeReference<>() {}));
        protocols.forEach(guide::check);
        guide.checkPages();
        kinds.forEach(guide::check);
        guide.checkNarrow();
        guide.checkCalled();
        return guide;
    }

    static ObjectMapper yaml() {
        return YAMLMapper.builder()
                .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
                // "isOne" and the like are questions about a value, not parts of it.
                .disable(MapperFeature.AUTO_DETECT_IS_GETTERS)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
                .addModule(new Jdk8Module())
                .build();
    }

    public List<Method> methods() {
        return words.methods();
    }

    /** What a medium asks for again and again; empty where it asks for nothing. A mix of one's own is asked nothing. */
    public Optional<Upkeep> upkeep(String medium) {
        return words.upkeep().stream().filter(u -> u.medium().equals(medium)).findFirst();
    }

    /** The sorts of piece that stock plants bear. */
    public List<PieceSort> sorts() {
        return words.sorts();
    }

    /** The sort of the key. */
    public Optional<PieceSort> sort(String key) {
        return words.sorts().stream().filter(s -> s.key().equals(key)).findFirst();
    }

    /** The sort of piece that a method draws on. */
    public PieceSort sortOf(String method) {
        return method(method).flatMap(m -> sort(m.draws().sort())).orElseThrow();
    }

    /** The same, called as plants of a group have it. */
    public PieceSort sortOf(String method, String group) {
        return sortOf(method).in(group);
    }

    /** All kinds of plant that are known, in the order of the files. */
    public List<PlantKind> kinds() {
        return kinds;
    }

    /** The kind of the key; empty for none and for one that the guide does not know. */
    public Optional<PlantKind> kind(String key) {
        return Optional.ofNullable(key).map(kindsByKey::get);
    }

    /** By which the kind of a typed name is told. */
    public KindNames names() {
        return names;
    }

    /** How a kind is raised that is not raised by pieces; empty for one that is. */
    public Optional<Raised> raised(PlantKind kind) {
        return kind.raised()
                .flatMap(key ->
                        words.raised().stream().filter(r -> r.key().equals(key)).findFirst());
    }

    /** The sorts of piece that a kind can give, in the guide's order. */
    public List<PieceSort> given(PlantKind kind) {
        Set<String> keys = kind.methods().stream().map(m -> sortOf(m).key()).collect(Collectors.toSet());
        return words.sorts().stream()
                .filter(s -> keys.contains(s.key()))
                .map(s -> s.in(kind.group()))
                .toList();
    }

    /** How many of what a plant bears go with one piece of a method. */
    public int each(Grown plant, String method) {
        return kind(plant.kind()).map(k -> k.each(method)).orElse(1);
    }

    /** What sorts of piece share a shoot of a plant. */
    public Shoots shoots(Grown plant) {
        return kind(plant.kind())
                .flatMap(k -> k.figures().sections())
                .or(() -> group(plant.group()).map(PlantGroup::sections))
                .map(Shoots::new)
                .orElseGet(() -> new Shoots(1));
    }

    /** Why a method is never used for a kind, in a few words. */
    public String whyNever(PlantKind kind, Method method) {
        return raised(kind)
                .map(r -> Character.toLowerCase(r.why().charAt(0))
                        + r.why().substring(1, r.why().length() - 1))
                .orElseGet(() ->
                        kind.never().getOrDefault(method.name(), method.draws().never()));
    }

    /**
     * What is offered for a plant: of each method that is usual or possible for its kind the protocols that suit its group or,
     * where none does, a group near to it; what suits neither its place in the open nor the kind itself is left out.
     *
     * @param kind the plant's kind; empty where nobody knows: then what suits the group is offered, as a guess
     * @param group key of the plant's group
     * @param from protocols to choose from: the guide's and a nursery's own
     */
    public List<OfferedWay> offered(Optional<PlantKind> kind, String group, List<Protocol> from) {
        if (kind.isEmpty()) {
            return from.stream()
                    .filter(p -> p.groups().contains(group))
                    .map(p -> new OfferedWay(p, Verdict.POSSIBLE, 0, true))
                    .toList();
        }
        PlantKind known = kind.get();
        List<OfferedWay> offered = new ArrayList<>();
        for (String method : known.methods()) {
            List<Protocol> all = from.stream()
                    .filter(p -> p.method().equals(method))
                    .filter(p -> suits(p, known))
                    .toList();
            nearest(all, group).stream()
                    .map(p -> new OfferedWay(p, known.verdict(method), known.rank(method), false))
                    .forEach(offered::add);
        }
        return List.copyOf(offered);
    }

    /** The protocols of a method that suit a group or, where none does, a group near to it. */
    public List<Protocol> near(String method, String group, List<Protocol> from) {
        return nearest(from.stream().filter(p -> p.method().equals(method)).toList(), group);
    }

    /** Those that suit a group or, where none does, the first of the groups near to it that any suits. */
    private List<Protocol> nearest(List<Protocol> protocols, String group) {
        return Stream.concat(Stream.of(group), group(group).stream().flatMap(g -> g.near().stream()))
                .map(g -> protocols.stream().filter(p -> p.groups().contains(g)).toList())
                .filter(suiting -> !suiting.isEmpty())
                .findFirst()
                .orElse(List.of());
    }

    private boolean suits(Protocol protocol, PlantKind kind) {
        return words.narrow().getOrDefault(protocol.key(), List.of(kind.key())).contains(kind.key())
                && (kind.habits().hardy() || !protocol.medium().equals(OPEN_GROUND))
                && (kind.habits().water() != PlantKind.InWater.POOR
                        || !protocol.medium().equals(WATER))
                && !kind.habits().not().contains(protocol.key());
    }

    /** A protocol as it is done with a plant. */
    public Protocol fitted(Protocol protocol, Grown plant) {
        return kind(plant.kind())
                .filter(k -> !protocol.isOwn())
                .map(k -> fit(k, protocol.method()).fitted(protocol))
                .orElse(protocol);
    }

    /** What is known of a method for a kind, beside what the method's protocols say of all plants. */
    public KindFit fit(PlantKind kind, String method) {
        return KindFit.of(kind, method(method).orElseThrow());
    }

    public List<String> media() {
        return words.media();
    }

    public List<PlantGroup> groups() {
        return words.groups();
    }

    public List<Protocol> protocols() {
        return protocols;
    }

    /** The method of the name, as written or in other case. */
    public Optional<Method> method(String name) {
        return words.methods().stream()
                .filter(m -> m.name().equalsIgnoreCase(name.strip()))
                .findFirst();
    }

    /** The medium of the name, as written or in other case. */
    public Optional<String> medium(String name) {
        return words.media().stream()
                .filter(m -> m.equalsIgnoreCase(name.strip()))
                .findFirst();
    }

    /** What people call media. */
    public WordFinder mediumWords() {
        return mediumWords;
    }

    /** What people call methods. */
    public WordFinder methodWords() {
        return methodWords;
    }

    /** The plant group of the key or the words. */
    public Optional<PlantGroup> group(String keyOrWords) {
        String asked = keyOrWords.strip();
        return words.groups().stream()
                .filter(g -> g.key().equalsIgnoreCase(asked) || g.words().equalsIgnoreCase(asked))
                .findFirst();
    }

    public Optional<Protocol> protocol(String key) {
        return protocols.stream().filter(p -> p.key().equals(key)).findFirst();
    }

    /** The caution of the key. */
    public Optional<Caution> caution(String key) {
        return words.cautions().stream().filter(c -> c.key().equals(key)).findFirst();
    }

    /** The protocols that suit the plant group, in the guide's order. */
    public List<Protocol> suiting(String groupKey) {
        return protocols.stream().filter(p -> p.groups().contains(groupKey)).toList();
    }

    /**
     * The protocol nearest to a way: same method and medium for the group, else same method and medium, else same method
     * for the group; empty if the guide has nothing so near.
     */
    public Optional<Protocol> nearest(String method, String medium, String groupKey) {
        Comparator<Protocol> nearer = Comparator.comparing(
                        (Protocol p) -> p.medium().equals(medium))
                .thenComparing(p -> p.groups().contains(groupKey));
        return protocols.stream()
                .filter(p -> p.method().equals(method))
                .filter(p -> p.medium().equals(medium) || p.groups().contains(groupKey))
                .max(nearer);
    }

    /** How the method is done, step by step. */
    public MethodPage page(String method) {
        return benchBook.stream()
                .filter(p -> p.method().equals(method))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("the bench book lacks " + method));
    }

    /** What may be seen on a piece or a stock plant that looks wrong. */
    public List<Symptom> symptoms() {
        return symptoms;
    }

    public Optional<Symptom> symptom(String key) {
        return symptoms.stream().filter(s -> s.key().equals(key)).findFirst();
    }

    /** Where good growers disagree. */
    public List<Dispute> disputes() {
        return disputes;
    }

    /**
     * What to mind where the act is: from the plant's kind or group, the method and the protocol together, each once.
     *
     * @param kind the plant's kind, whose own hazards stand in the place of its group's; empty where it is not known
     * @param groupKey the plant's group
     * @param protocols what is done; several where it is not yet chosen which way is gone
     */
    public List<Caution> cautions(Optional<PlantKind> kind, String groupKey, List<Protocol> protocols) {
        Set<String> keys = new LinkedHashSet<>(hazards(kind, groupKey));
        for (Protocol protocol : protocols) {
            Stream.concat(
                            method(protocol.method()).stream().flatMap(m -> m.cautions().stream()),
                            protocol.reasons().cautions().stream())
                    // What a plant itself does is said by its kind, where that is known, and by nobody else.
                    .filter(c -> kind.isEmpty() || !isOfPlants(c))
                    .forEach(keys::add);
        }
        return graver(keys);
    }

    /** The same of one way. */
    public List<Caution> cautions(Optional<PlantKind> kind, String groupKey, Protocol protocol) {
        return cautions(kind, groupKey, List.of(protocol));
    }

    /** The same of a plant. */
    public List<Caution> cautions(Grown plant, Protocol protocol) {
        return cautions(kind(plant.kind()), plant.group(), List.of(protocol));
    }

    /** What to mind where a plant is cut and nothing is said of what for. */
    public List<Caution> cautions(Grown plant) {
        return cautions(kind(plant.kind()), plant.group());
    }

    /** The same by kind and group. */
    public List<Caution> cautions(Optional<PlantKind> kind, String groupKey) {
        Set<String> keys = new LinkedHashSet<>(hazards(kind, groupKey));
        keys.add(BLADE);
        return graver(keys);
    }

    private boolean isOfPlants(String caution) {
        return words.groups().stream().anyMatch(g -> g.cautions().contains(caution));
    }

    private List<String> hazards(Optional<PlantKind> kind, String groupKey) {
        return kind.map(PlantKind::hazards)
                .orElseGet(() -> group(groupKey).map(PlantGroup::cautions).orElse(List.of()));
    }

    /** Where the same is said twice, only the graver stays. */
    private List<Caution> graver(Set<String> keys) {
        return keys.stream()
                .flatMap(k -> caution(k).stream())
                .filter(c -> c.unless().stream().noneMatch(keys::contains))
                .toList();
    }

    private void checkPages() {
        words.methods().forEach(m -> page(m.name()));
        words.methods().stream().flatMap(m -> m.cautions().stream()).forEach(this::requireCaution);
        words.groups().stream().flatMap(g -> g.cautions().stream()).forEach(this::requireCaution);
        words.groups().stream()
                .flatMap(g -> g.near().stream())
                .filter(n -> group(n).isEmpty())
                .forEach(n -> {
                    throw new IllegalStateException("the guide does not know the group " + n);
                });
        requireCaution(BLADE);
        words.cautions().stream().flatMap(c -> c.unless().stream()).forEach(this::requireCaution);
        symptoms.stream()
                .flatMap(s -> s.causes().stream())
                .flatMap(c -> c.cautions().stream())
                .forEach(this::requireCaution);
        disputes.stream()
                .flatMap(d -> d.sides().stream())
                .flatMap(s -> s.media().stream())
                .filter(m -> !words.media().contains(m))
                .forEach(m -> {
                    throw new IllegalStateException("schools: the guide does not know the medium " + m);
                });
    }

    private void checkNarrow() {
        words.narrow().forEach((protocol, of) -> {
            if (protocol(protocol).isEmpty() || of.stream().anyMatch(k -> kind(k).isEmpty())) {
                throw new IllegalStateException(
                        "narrow: the guide does not know %s or one of %s".formatted(protocol, of));
            }
        });
    }

    private void checkCalled() {
        List<String> names = methods().stream().map(Method::name).toList();
        if (!words.mediaCalled().keySet().equals(Set.copyOf(media()))
                || !words.methodsCalled().keySet().equals(Set.copyOf(names))) {
            throw new IllegalStateException("what media and methods are called names each of them, and no other");
        }
    }

    private void requireCaution(String key) {
        if (caution(key).isEmpty()) {
            throw new IllegalStateException("the guide does not know the caution " + key);
        }
    }

    private void check(Protocol p) {
        require(p, method(p.method()).isPresent(), "method " + p.method());
        require(p, words.media().contains(p.medium()), "medium " + p.medium());
        p.technique().then().forEach(m -> require(p, words.media().contains(m), "medium " + m));
        p.groups().forEach(g -> require(p, group(g).isPresent(), "group " + g));
        p.reasons().cautions().forEach(c -> require(p, caution(c).isPresent(), "caution " + c));
    }

    private void check(PlantKind k) {
        require(k, k.isRaisedByPieces() == !k.usual().isEmpty(), "usual way, or how it is raised else");
        require(k, k.isRaisedByPieces() || raised(k).isPresent(), "reason " + k.raised());
        require(k, group(k.group()).isPresent(), "group " + k.group());
        for (String m : Stream.of(
                        k.usual(),
                        k.possible(),
                        k.never().keySet(),
                        k.figures().rate().keySet(),
                        k.figures().ready().keySet(),
                        k.figures().each().keySet(),
                        k.figures().season().keySet())
                .flatMap(Collection::stream)
                .toList()) {
            require(k, method(m).isPresent(), "method " + m);
        }
        k.hazards().forEach(c -> require(k, caution(c).isPresent(), "caution " + c));
        k.habits().not().forEach(p -> require(k, protocol(p).isPresent(), "protocol " + p));
    }

    private static void require(PlantKind k, boolean known, String what) {
        if (!known) {
            throw new IllegalStateException("kind %s: the guide does not know %s".formatted(k.key(), what));
        }
    }

    private static void require(Protocol p, boolean known, String what) {
        if (!known) {
            throw new IllegalStateException("protocol %s: the guide does not know %s".formatted(p.key(), what));
        }
    }

    private static <T> T read(Function<String, InputStream> files, String name, TypeReference<T> type) {
        try (InputStream in = files.apply(name)) {
            if (in == null) {
                throw new IllegalStateException("the guide lacks " + name);
            }
            return YAML.readValue(in, type);
        } catch (IOException e) {
            throw new UncheckedIOException("the guide's " + name + " cannot be read: " + e.getMessage(), e);
        }
    }
}
