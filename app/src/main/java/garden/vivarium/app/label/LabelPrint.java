package garden.vivarium.app.label;

import garden.vivarium.app.platform.Named;
import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** Labels that were printed together: what they are of, on which sheet, and where on it they begin. */
@Entity
class LabelPrint extends NurseryRow {

    /** What a label may be of. */
    enum Kind {
        BATCH,
        POTS,
        STOCK
    }

    /** What may be said of later. */
    enum Next implements Named {
        NOTHING,
        REPOT,
        DIVIDE,
        CUT;
    }

    /**
     * So many labels of one thing.
     *
     * @param cell the cell of a tray that they are of; null where they are of the whole
     */
    record Item(Kind kind, UUID of, int copies, Cell cell) {

        Item(Kind kind, UUID of, int copies) {
            this(kind, of, copies, null);
        }
    }

    /**
     * A cell of a trial's tray.
     *
     * @param arm which way stands there, from 0
     * @param way in words
     * @param row from 1
     * @param column from 1
     */
    record Cell(int arm, String way, int row, int column) {}

    private String sheet;
    private int first;
    private Instant madeAt;
    private String personName;
    private boolean printer;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private Next next;

    private LocalDate nextOn;

    @Column(columnDefinition = "longtext")
    @JdbcTypeCode(SqlTypes.JSON)
    private List<Item> items;

    protected LabelPrint() {}

    LabelPrint(String sheet, int first, List<Item> items, boolean printer, Instant madeAt, String personName) {
        this.sheet = sheet;
        this.first = first;
        this.items = List.copyOf(items);
        this.printer = printer;
        this.madeAt = madeAt;
        this.personName = personName;
        this.next = Next.NOTHING;
    }

    void says(Next what, LocalDate on) {
        next = what;
        nextOn = on;
    }

    int count() {
        return items.stream().mapToInt(Item::copies).sum();
    }

    String sheet() {
        return sheet;
    }

    int first() {
        return first;
    }

    List<Item> items() {
        return List.copyOf(items);
    }

    boolean onPrinter() {
        return printer;
    }

    Next next() {
        return next;
    }

    LocalDate nextOn() {
        return nextOn;
    }

    Instant madeAt() {
        return madeAt;
    }

    String personName() {
        return personName;
    }
}
