package garden.vivarium.app.divide;

import garden.vivarium.core.Statement;
import garden.vivarium.core.divide.Division;
import garden.vivarium.core.divide.Worth;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What the planner says of a plant as it was drawn.
 *
 * @param worth of its pieces here
 * @param factor by which the nursery's own record scales what is usual
 * @param against what speaks against dividing it now
 * @param cards the divisions to choose from, leaving it whole the last
 */
record DivideSheet(Worth worth, double factor, List<Statement> against, List<Card> cards) {

    /** The letters of all pieces of the division that has the most. */
    public List<String> letters() {
        return cards.stream().map(Card::pieces).max(Comparator.comparingInt(List::size)).orElse(List.of()).stream()
                .map(PieceCard::letter)
                .toList();
    }

    /**
     * One division.
     *
     * @param number by which it is chosen, from 0
     * @param title what it is the best for, in words
     * @param pieces of it
     * @param cuts in words, as "3 from 4"
     */
    record Card(int number, String title, Division division, List<PieceCard> pieces, List<String> cuts) {

        /** Whether nothing is cut. */
        public boolean isWhole() {
            return pieces.size() < 2;
        }

        /** Its cuts for the drawing: {@code 3-4,7-8}. */
        public String cutsWritten() {
            return division.cuts().stream().map(t -> t.a() + "-" + t.b()).collect(Collectors.joining(","));
        }

        /** Its pieces for the drawing, each with its growths: {@code A:1 2 3;B:4}. */
        public String piecesWritten() {
            return pieces.stream()
                    .map(p -> p.letter() + ":"
                            + p.piece().growths().stream().map(String::valueOf).collect(Collectors.joining(" ")))
                    .collect(Collectors.joining(";"));
        }
    }

    /**
     * One piece.
     *
     * @param letter by which it is called
     * @param kept whether it is the best of them
     * @param potCm the pot that it wants
     * @param stake whether it must be tied until roots hold it
     */
    record PieceCard(String letter, Division.Piece piece, boolean kept, int potCm, boolean stake) {}

    /** A division that was done. */
    record Done(String batchCode, LocalDate on, String drawn, String cuts, String person) {}
}
