package garden.vivarium.app.stock;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Caution;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.KindFinder;
import garden.vivarium.core.guide.PieceSort;
import garden.vivarium.core.guide.PlantKind;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What the guide makes of a name while it is typed.
 *
 * @param kind key of the kind; empty where the guide does not know it
 * @param group key of its group
 * @param says what was found, in a sentence
 * @param sorts keys of the sorts of piece that it can give; all where the kind is not known
 */
record KindGuess(String kind, String group, String says, List<String> sorts) {

    static KindGuess of(Guide guide, String name, String group) {
        Optional<KindFinder.Found> found = guide.finder().find(name, group);
        if (found.isEmpty()) {
            return new KindGuess(
                    "",
                    "",
                    Messages.text("KindGuess.not.in.guide"),
                    guide.sorts().stream().map(PieceSort::key).toList());
        }
        PlantKind kind = found.get().kind();
        return new KindGuess(
                kind.key(),
                kind.group(),
                Messages.text(
                        "KindGuess.found",
                        "kind",
                        kind.title(),
                        "written",
                        found.get().asWritten(),
                        "group",
                        guide.group(kind.group()).orElseThrow().words(),
                        "bred",
                        kind.remarks().bred(),
                        "wild",
                        kind.remarks().wild() || kind.hazards().contains("wild"),
                        "thin",
                        kind.remarks().thin(),
                        "mind",
                        hazards(guide, kind)),
                guide.given(kind).stream().map(PieceSort::key).toList());
    }

    static String hazards(Guide guide, PlantKind kind) {
        String words = kind.hazards().stream()
                .filter(h -> !"wild".equals(h))
                .flatMap(h -> guide.caution(h).stream())
                .map(Caution::word)
                .distinct()
                .collect(Collectors.joining(", "));
        return words.isEmpty() ? "none" : words;
    }
}
