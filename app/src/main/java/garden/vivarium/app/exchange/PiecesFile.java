package garden.vivarium.app.exchange;

import static garden.vivarium.app.exchange.Column.Sort.CODE;
import static garden.vivarium.app.exchange.Column.Sort.COUNT;
import static garden.vivarium.app.exchange.Column.Sort.DAY;
import static garden.vivarium.app.exchange.Column.Sort.TEXT;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.Limits;
import garden.vivarium.core.UnknownWord;
import garden.vivarium.core.looks.Firmness;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.timing.AboutDay;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * {@code pieces.csv}: readings by piece, of batches that the nursery holds.
 *
 * @param looks the lines gathered by batch, day and look kind
 * @param faults every bad line; nothing may be kept while there is one
 */
record PiecesFile(List<PieceLook> looks, List<InvalidLine> faults) {

    static final List<Column> COLUMNS = List.of(
            Column.needed("batch", "Batch", TEXT, "label", "code", "tray"),
            Column.needed("piece", "Piece", COUNT, "cell", "number", "no"),
            Column.needed("looked_on", "Day of the look", DAY, "date", "day", "checked", "checked on"),
            Column.needed("state", "State", CODE, "status"),
            Column.optional("kind", "Kind of piece", TEXT),
            Column.optional("length_mm", "Length, mm", COUNT, "length"),
            Column.optional("nodes", "Nodes", COUNT),
            Column.optional("look", "How it was looked at", CODE),
            Column.optional("cause", "Cause of loss", CODE, "reason"),
            Column.optional("root_mm", "Longest root, mm", COUNT, "root", "root length", "roots"),
            Column.optional("side_roots", "Side roots", CODE),
            Column.optional("top_growth", "Top growth", CODE),
            Column.optional("firmness", "Firmness", CODE),
            Column.optional("note", "Note", TEXT, "notes", "remarks"));

    /** A look at some pieces of a batch. */
    record PieceLook(String batch, LocalDate day, LookKind kind, List<PieceLine> pieces) {
        long line() {
            return pieces.get(0).line();
        }
    }

    /** One piece; what the file does not say is null. */
    record PieceLine(
            long line, int piece, Facts facts, PieceState state, LossCause cause, Readings readings, String note) {

        /** What the piece is. */
        record Facts(String kind, Integer lengthMm, Integer nodes) {}

        /** What was read off it. */
        record Readings(Integer rootMm, Boolean sideRoots, Boolean topGrowth, Firmness firmness) {}

        /** Whether it says what the piece is, beside what was seen of it. */
        boolean hasFacts() {
            return facts.kind() != null || facts.lengthMm() != null || facts.nodes() != null;
        }
    }

    private record Key(String batch, LocalDate day, LookKind kind) {}

    /** Reads the file's text. */
    static PiecesFile read(Csv csv, LocalDate today) {
        Map<Key, PieceLook> looks = new LinkedHashMap<>();
        for (Csv.CsvLine line : csv.lines()) {
            if (csv.isFaulty()) {
                return new PiecesFile(List.of(), csv.faults());
            }
            readLine(line, today, csv, looks);
        }
        if (csv.faultCount() == 0 && looks.isEmpty()) {
            csv.fault(1, "—", "The file has no line after its header.", "Give a line for each piece looked at.");
        }
        return new PiecesFile(new ArrayList<>(looks.values()), csv.faults());
    }

    private static void readLine(Csv.CsvLine line, LocalDate today, Csv csv, Map<Key, PieceLook> looks) {
        int before = csv.faultCount();
        Optional<String> batch = line.needed("batch", 80);
        line.needed("piece", 40);
        Optional<Integer> piece = line.number("piece", 1, Limits.MOST_PIECES);
        line.needed("looked_on", 40);
        Optional<LocalDate> day = line.day("looked_on", today).map(AboutDay::middle);
        line.needed("state", 40);
        Optional<PieceState> state = line.word("state", PieceState::of);
        Optional<LookKind> look = line.word("look", LookKind::of);
        PieceLine read = new PieceLine(
                line.number(),
                piece.orElse(1),
                new PieceLine.Facts(
                        line.text("kind", 60).orElse(null),
                        line.number("length_mm", 1, Limits.LONGEST_PIECE_MM).orElse(null),
                        line.number("nodes", 0, 100).orElse(null)),
                state.orElse(PieceState.NONE),
                line.word("cause", LossCause::of).orElse(null),
                new PieceLine.Readings(
                        line.number("root_mm", 0, Limits.LONGEST_ROOT_MM).orElse(null),
                        line.word("side_roots", PiecesFile::yesOrNo).orElse(null),
                        line.word("top_growth", PiecesFile::yesOrNo).orElse(null),
                        line.word("firmness", Firmness::of).orElse(null)),
                line.text("note", 500).orElse(null));
        if (csv.faultCount() > before) {
            return;
        }
        Key key = new Key(batch.orElseThrow(), day.orElseThrow(), look.orElse(LookKind.LIFTED));
        PieceLook of = looks.computeIfAbsent(key, k -> new PieceLook(k.batch(), k.day(), k.kind(), new ArrayList<>()));
        if (of.pieces().stream().anyMatch(p -> p.piece() == read.piece())) {
            line.bad(
                    "piece",
                    Messages.text("PiecesFile.piece.has.two.lines", "piece", read.piece()),
                    "Keep one of them.");
            return;
        }
        of.pieces().add(read);
    }

    private static boolean yesOrNo(String word) {
        return switch (word.toLowerCase(Locale.ROOT)) {
            case "yes" -> true;
            case "no" -> false;
            default -> throw new UnknownWord(UnknownWord.Wanted.YES_OR_NO, word);
        };
    }
}
