package garden.vivarium.app.stock;

import garden.vivarium.app.platform.NurseryRow;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDate;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A look at a stock plant: what it bears, how many new shoots since a hard cut, how it is. */
@Entity
class StockLook extends NurseryRow {

    private UUID stockPlantId;
    private LocalDate lookedOn;

    @JdbcTypeCode(SqlTypes.JSON)
    @Column(columnDefinition = "longtext")
    private Map<String, Integer> counts = new TreeMap<>();

    private Integer shoots;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private StockState state;

    private String note;
    private String personName;

    protected StockLook() {}

    StockLook(
            UUID stockPlantId,
            LocalDate lookedOn,
            Map<String, Integer> counts,
            Integer shoots,
            StockState state,
            String note,
            String person) {
        this.stockPlantId = stockPlantId;
        this.lookedOn = lookedOn;
        this.counts.putAll(counts);
        this.shoots = shoots;
        this.state = state;
        this.note = note;
        this.personName = person;
    }

    StockLookView view() {
        return new StockLookView(lookedOn, new TreeMap<>(counts), shoots, state, note, personName);
    }
}
