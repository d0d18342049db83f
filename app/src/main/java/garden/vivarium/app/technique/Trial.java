package garden.vivarium.app.technique;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.compare.TrialLayout;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;

/** Two to four ways in the same trays, to be read once. */
@Entity
class Trial extends NurseryRow {

    private UUID stockPlantId;
    private String plant;
    private String protocol;

    @Enumerated(EnumType.STRING)
    private Factor factor;

    private String firstArm;
    private String secondArm;
    private String thirdArm;
    private String fourthArm;
    private int perArm;
    private int trayRows;
    private int trayColumns;
    private long seed;
    private LocalDate endsOn;
    private LocalDate stuckOn;
    private LocalDate peekedOn;
    private String peekedBy;
    private LocalDate closedOn;
    private String said;
    private String personName;
    private Instant madeAt;

    protected Trial() {}

    Trial(UUID stockPlantId, String plant, String protocol) {
        this.stockPlantId = stockPlantId;
        this.plant = plant;
        this.protocol = protocol;
    }

    void asks(Factor asked, List<String> arms) {
        factor = asked;
        firstArm = arms.get(0);
        secondArm = arms.get(1);
        thirdArm = arms.size() > 2 ? arms.get(2) : null;
        fourthArm = arms.size() > 3 ? arms.get(3) : null;
    }

    void calls(List<String> arms) {
        asks(factor, arms);
    }

    private List<String> arms() {
        return Stream.of(firstArm, secondArm, thirdArm, fourthArm)
                .filter(Objects::nonNull)
                .toList();
    }

    void laidOut(int pieces, int rows, int columns, long draw) {
        perArm = pieces;
        trayRows = rows;
        trayColumns = columns;
        seed = draw;
    }

    void by(String person, Instant at, LocalDate end) {
        personName = person;
        madeAt = at;
        endsOn = end;
    }

    void stuck(LocalDate day) {
        stuckOn = day;
    }

    void peeked(LocalDate day, String who) {
        if (peekedOn == null) {
            peekedOn = day;
            peekedBy = who;
        }
    }

    void endsOn(LocalDate day) {
        endsOn = day;
    }

    void closed(LocalDate day, String words) {
        closedOn = day;
        said = words;
    }

    TrialLayout layout() {
        return TrialLayout.draw(arms().size(), perArm, trayRows, trayColumns, seed);
    }

    UUID stockPlantId() {
        return stockPlantId;
    }

    TrialView view() {
        return new TrialView(
                getId(),
                new TrialView.Asks(plant, protocol, factor, arms()),
                new TrialView.Size(
                        perArm, trayRows, trayColumns, layout().trays().size(), seed),
                new TrialView.Days(endsOn, stuckOn, peekedOn, closedOn),
                peekedBy,
                said,
                personName);
    }
}
