package garden.vivarium.core.guide;

import garden.vivarium.core.naming.Called;
import garden.vivarium.core.naming.NameReader;
import garden.vivarium.core.naming.NameReading;
import java.util.List;
import java.util.Map;

/** Names of kinds with those that a nursery has given: what it calls a plant that the guide does not know goes before the guide's. */
public final class KindNamesHere {

    private final KindNames guide;
    private final NameReader<PlantKind> own;

    /**
     * Names of the guide and of a nursery.
     *
     * @param own kinds by the names that the nursery has given to what behaves like them
     */
    public KindNamesHere(KindNames guide, Map<String, PlantKind> own) {
        this.guide = guide;
        this.own = new NameReader<>(
                guide.lexicon(),
                own.entrySet().stream()
                        .map(e -> new Called<>(e.getValue(), e.getValue().group(), List.of(e.getKey()), List.of()))
                        .toList());
    }

    /** What a name means. */
    public NameReading<PlantKind> read(String typed) {
        return read(typed, "");
    }

    /**
     * The same where a group is known, which chooses among kinds that share the name.
     *
     * @param group key of the group; empty or unknown where none is said
     */
    public NameReading<PlantKind> read(String typed, String group) {
        NameReading<PlantKind> here = own.read(typed);
        if (here.taken().isPresent() && here.isAsWritten()) {
            return here;
        }
        NameReading<PlantKind> known = guide.read(typed, group);
        return known instanceof NameReading.Unknown && here.taken().isPresent() ? here : known;
    }
}
