package garden.vivarium.core.timing;

/**
 * The name of one piece: {@code 26w47-B/14} is piece 14 of that batch.
 *
 * @param batch the batch's code
 * @param piece the piece's number, 1 and up, along the rows of the tray
 */
public record PieceCode(BatchCode batch, int piece) {

    public PieceCode {
        if (piece < 1) {
            throw new IllegalArgumentException("pieces are numbered from 1, not " + piece);
        }
    }

    /**
     * Reads a piece's code as written.
     *
     * @throws IllegalArgumentException if the text is no piece code
     */
    public static PieceCode parse(String text) {
        int slash = text.lastIndexOf('/');
        if (slash < 0 || !text.substring(slash + 1).strip().matches("\\d{1,6}")) {
            throw new IllegalArgumentException("“%s” is no piece code; one reads like 26w47-B/14".formatted(text));
        }
        return new PieceCode(
                BatchCode.parse(text.substring(0, slash)),
                Integer.parseInt(text.substring(slash + 1).strip()));
    }

    @Override
    public String toString() {
        return batch + "/" + piece;
    }
}
