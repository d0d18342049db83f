package garden.vivarium.app.stock;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.KindNamesHere;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.naming.NameReading;
import garden.vivarium.core.naming.NameWords;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tells which kind a typed name means, by the guide's names and by those that the nursery has given. Templates call it as {@code @kindsCalled}. */
@Service("kindsCalled")
public class KindsCalled {

    private static final int LONGEST_NAME = 120;
    /** Names of so many nurseries are kept read. */
    private static final int MOST_NURSERIES = 40;

    private final OwnNameRepository names;
    private final Guide guide;
    private final CurrentNursery nursery;
    private final Cache<UUID, Known> known =
            Caffeine.newBuilder().maximumSize(MOST_NURSERIES).build();

    KindsCalled(OwnNameRepository names, Guide guide, CurrentNursery nursery) {
        this.names = names;
        this.guide = guide;
        this.nursery = nursery;
    }

    private record Known(Map<String, PlantKind> own, KindNamesHere reader) {}

    /** What a name means. */
    @Transactional(readOnly = true)
    public NameReading<PlantKind> read(String typed) {
        return read(typed, "");
    }

    /**
     * The same where a group is known, which chooses among kinds that share the name.
     *
     * @param group key of the group; empty or unknown where none is said
     */
    @Transactional(readOnly = true)
    public NameReading<PlantKind> read(String typed, String group) {
        Map<String, PlantKind> own = own();
        UUID here = nursery.required();
        Known read = known.getIfPresent(here);
        if (read == null || !read.own().equals(own)) {
            read = new Known(own, new KindNamesHere(guide.names(), own));
            known.put(here, read);
        }
        return read.reader().read(typed, group);
    }

    /** What a new plant is taken for, in words. */
    @Transactional(readOnly = true)
    public String newPlant(String typed) {
        return Messages.text(
                "KindsCalled.new.plant",
                "kind",
                read(typed).taken().map(PlantKind::title).orElse("none"));
    }

    /** Kinds by the names that the nursery has given to what behaves like them. */
    @Transactional(readOnly = true)
    public Map<String, PlantKind> own() {
        Map<String, PlantKind> own = new TreeMap<>();
        names.findAll().forEach(n -> guide.kind(n.kind()).ifPresent(k -> own.put(n.name(), k)));
        return own;
    }

    /** A kind was chosen for a name: where the guide would not have offered it, the name is kept and means it from now on. */
    @Transactional
    public void chosen(String typed, String kind) {
        String name = String.join(" ", NameWords.asWritten(NameWords.withoutSelection(typed)));
        boolean isOffered = guide.names().read(typed).meanings().stream()
                .anyMatch(k -> k.key().equals(kind));
        if (name.isEmpty()
                || name.length() > LONGEST_NAME
                || isOffered
                || guide.kind(kind).isEmpty()) {
            return;
        }
        names.findByName(name).ifPresentOrElse(n -> n.is(kind), () -> names.save(new OwnName(name, kind)));
    }
}
