package garden.vivarium.core.guide;

import garden.vivarium.core.naming.Called;
import garden.vivarium.core.naming.NameLexicon;
import garden.vivarium.core.naming.NameReader;
import garden.vivarium.core.naming.NameReading;
import java.util.List;
import java.util.stream.Stream;

/** Tells which kind a typed name means: by its name, what else it is called, its Latin, several of it, or a slip of the pen. */
public final class KindNames {

    private final NameReader<PlantKind> reader;
    private final NameLexicon lexicon;

    KindNames(List<PlantKind> kinds, NameLexicon lexicon) {
        this.lexicon = lexicon;
        this.reader =
                new NameReader<>(lexicon, kinds.stream().map(KindNames::called).toList());
    }

    /** A kind as something that bears names. */
    public static Called<PlantKind> called(PlantKind kind) {
        return new Called<>(
                kind,
                kind.group(),
                Stream.concat(kind.names().all(), kind.names().heard().stream()).toList(),
                kind.names().latin());
    }

    /** What a name means. */
    public NameReading<PlantKind> read(String typed) {
        return reader.read(typed);
    }

    /**
     * The same where a group is known, which chooses among kinds that share the name.
     *
     * @param group key of the group; empty or unknown where none is said
     */
    public NameReading<PlantKind> read(String typed, String group) {
        return reader.read(typed).among(k -> k.group().equals(group));
    }

    /** Words that stand beside names. */
    public NameLexicon lexicon() {
        return lexicon;
    }
}
