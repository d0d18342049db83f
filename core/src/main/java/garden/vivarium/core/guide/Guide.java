package garden.vivarium.core.guide;

import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The guide as shipped: methods, media, plant groups, cautions and protocols, read from YAML and checked. */
public final class Guide {

    private final Words words;
    private final List<Protocol> protocols;

    private Guide(Words words, List<Protocol> protocols) {
        this.words = words;
        this.protocols = List.copyOf(protocols);
    }

    private record Words(
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
        ObjectMapper yaml = YAMLMapper.builder()
                .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
                .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
                .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
                .addModule(new Jdk8Module())
                .build();
        Words words = read(yaml, "words.yaml", Words.class);
        List<Protocol> protocols = words.protocols().stream()
                .map(key -> read(yaml, "protocols/" + key + ".yaml", Protocol.class))
                .toList();
        Guide guide = new Guide(words, protocols);
        protocols.forEach(guide::check);
        return guide;
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

    private void check(Protocol p) {
        require(p, method(p.method()).isPresent(), "method " + p.method());
        require(p, words.media().contains(p.medium()), "medium " + p.medium());
        p.groups().forEach(g -> require(p, group(g).isPresent(), "group " + g));
        p.cautions().forEach(c -> require(p, caution(c).isPresent(), "caution " + c));
    }

    private static void require(Protocol p, boolean known, String what) {
        if (!known) {
            throw new IllegalStateException("protocol %s: the guide does not know %s".formatted(p.key(), what));
        }
    }

    private static <T> T read(ObjectMapper yaml, String name, Class<T> type) {
        try (InputStream in = Guide.class.getResourceAsStream(name)) {
            if (in == null) {
                throw new IllegalStateException("the guide lacks " + name);
            }
            return yaml.readValue(in, type);
        } catch (IOException e) {
            throw new UncheckedIOException("the guide's " + name + " cannot be read: " + e.getMessage(), e);
        }
    }
}
