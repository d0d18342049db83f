package garden.vivarium.core.guide;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** The guide as shipped: methods, media, plant groups, cautions, protocols, the bench book and what goes wrong, read from YAML
 * and checked. */
public final class Guide {

    private static final String BLADE = "blade";

    private static final ObjectMapper YAML = yaml();

    private final Vocabulary words;
    private final List<Protocol> protocols;
    private final List<MethodPage> benchBook;
    private final List<Symptom> symptoms;
    private final List<Dispute> disputes;

    private Guide(
            Vocabulary words,
            List<Protocol> protocols,
            List<MethodPage> benchBook,
            List<Symptom> symptoms,
            List<Dispute> disputes) {
        this.words = words;
        this.protocols = List.copyOf(protocols);
        this.benchBook = List.copyOf(benchBook);
        this.symptoms = List.copyOf(symptoms);
        this.disputes = List.copyOf(disputes);
    }

    private record Vocabulary(
            List<Method> methods,
            List<String> media,
            List<PlantGroup> groups,
            List<Caution> cautions,
            List<String> protocols) {}

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
        Guide guide = new Guide(
                words,
                protocols,
                read(files, "bench-book.yaml", new TypeReference<>() {}),
                read(files, "signs.yaml", new TypeReference<>() {}),
                read(files, "schools.yaml", new TypeReference<>() {}));
        protocols.forEach(guide::check);
        guide.checkPages();
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
     * What to mind where the act is: from the plant's group, the method and the protocol together, each once.
     *
     * @param groupKey the plant's group
     * @param protocol what is done
     */
    public List<Caution> cautions(String groupKey, Protocol protocol) {
        return cautions(groupKey, List.of(protocol));
    }

    /** The same where it is not yet chosen which of several ways is gone. */
    public List<Caution> cautions(String groupKey, List<Protocol> protocols) {
        Set<String> keys = new LinkedHashSet<>();
        group(groupKey).ifPresent(g -> keys.addAll(g.cautions()));
        for (Protocol protocol : protocols) {
            method(protocol.method()).ifPresent(m -> keys.addAll(m.cautions()));
            keys.addAll(protocol.reasons().cautions());
        }
        return graver(keys);
    }

    /** What to mind where a plant is cut and nothing is said of what for. */
    public List<Caution> cautions(PlantGroup cut) {
        Set<String> keys = new LinkedHashSet<>(cut.cautions());
        keys.add(BLADE);
        return graver(keys);
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
