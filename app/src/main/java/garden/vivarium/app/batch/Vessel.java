package garden.vivarium.app.batch;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;

/**
 * What pieces stand in.
 *
 * @param rows rows of a tray; null for a loose vessel
 * @param columns columns of a tray; null for a loose vessel
 * @param words in words, or null
 * @param piecesPerPot how many go to a pot when they are moved, 1 and up
 */
@Embeddable
public record Vessel(
        @Column(name = "tray_rows") Integer rows,
        @Column(name = "tray_columns") Integer columns,
        @Column(name = "vessel") String words,
        int piecesPerPot) {

    /** A loose vessel, one piece to a pot. */
    public static Vessel loose(String words) {
        return new Vessel(null, null, words, 1);
    }

    /** Whether it is a tray of cells. */
    public boolean isTray() {
        return rows != null && columns != null;
    }

    /** The same as a tray. */
    Vessel tray(int trayRows, int trayColumns) {
        return new Vessel(trayRows, trayColumns, words, piecesPerPot);
    }

    /** The same with so many to a pot. */
    Vessel perPot(int pieces) {
        return new Vessel(rows, columns, words, pieces);
    }
}
