package garden.vivarium.app.stock;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.guide.Caution;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PieceSort;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.Raised;
import garden.vivarium.core.naming.NameReading;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.util.StringUtils;

/**
 * What the guide makes of a name while it is typed.
 *
 * @param kind key of the kind that it is taken for; empty where it must be asked, or where the guide does not know it
 * @param group key of its group
 * @param says what was found, in a sentence
 * @param sorts the sorts of piece that it can give, by key, each with what a count of it is called; any, where the kind is not known
 * @param choices kinds that may be meant, the best first
 */
public record KindGuess(String kind, String group, String says, Map<String, String> sorts, List<KindChoice> choices) {

    static KindGuess of(Guide guide, NameReading<PlantKind> read, String group) {
        List<KindChoice> choices = read.meanings().stream().map(KindChoice::of).toList();
        return read.taken()
                .map(kind -> of(guide, kind, read.isAsWritten(), choices))
                .orElseGet(() -> new KindGuess("", "", asks(read), sortsOf(guide, group), choices));
    }

    /** What is said of a kind that was found or chosen. */
    static KindGuess of(Guide guide, PlantKind kind, boolean asWritten, List<KindChoice> choices) {
        return new KindGuess(
                kind.key(), kind.group(), said(guide, kind, asWritten), asked(guide.given(kind).stream()), choices);
    }

    /** What is said of a kind that was found. */
    static String said(Guide guide, PlantKind kind, boolean asWritten) {
        String found = Messages.text(
                "KindGuess.found",
                "kind",
                kind.title(),
                "written",
                asWritten,
                "group",
                guide.group(kind.group()).orElseThrow().words(),
                "bred",
                kind.remarks().bred(),
                "wild",
                kind.remarks().wild() || kind.hazards().contains("wild"),
                "thin",
                kind.remarks().thin(),
                "mind",
                hazards(guide, kind));
        return guide.raised(kind).map(r -> found + " " + instead(r)).orElse(found);
    }

    /** That it is not raised by pieces, why, and what people do. */
    public static String instead(Raised raised) {
        return Messages.text(
                "KindGuess.not.by.pieces", "by", raised.by(), "why", raised.why(), "instead", raised.instead());
    }

    private static String asks(NameReading<PlantKind> read) {
        return read instanceof NameReading.Asked
                ? Messages.text("KindGuess.which")
                : Messages.text(
                        "KindGuess.not.in.guide", "near", !read.meanings().isEmpty());
    }

    /** Those that plants of a group bear; of any sort, where nobody has said the group. */
    private static Map<String, String> sortsOf(Guide guide, String group) {
        Map<String, String> sorts = asked(guide.suiting(group).stream().map(p -> guide.sortOf(p.method(), group)));
        return sorts.isEmpty() ? Map.of(Sorts.ANY, "") : sorts;
    }

    private static Map<String, String> asked(Stream<PieceSort> sorts) {
        return sorts.distinct()
                .collect(Collectors.toMap(
                        PieceSort::key,
                        s -> Messages.text("KindGuess.count", "sort", StringUtils.capitalize(s.words()))));
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
