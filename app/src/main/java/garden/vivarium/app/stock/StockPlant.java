package garden.vivarium.app.stock;

import garden.vivarium.app.platform.NurseryRow;
import garden.vivarium.app.platform.Seen;
import garden.vivarium.core.Grown;
import garden.vivarium.core.guide.PlantGroup;
import garden.vivarium.core.guide.Shoots;
import garden.vivarium.core.stock.Regrowth;
import jakarta.persistence.CascadeType;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.OneToMany;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** A plant in a place, or a lot, from which material is taken. */
@Entity
class StockPlant extends NurseryRow {

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "plant_id")
    private Plant plant;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "place_id")
    private Place place;

    private String code;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(10)")
    private StockKind kind = StockKind.PLANT;

    private String origin;
    private String supplier;
    private LocalDate arrivedOn;
    private String inspection;
    private LocalDate restSeenOn;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "varchar(20)")
    private StockState state;

    private LocalDate quarantineUntil;

    @OneToMany(cascade = CascadeType.ALL, orphanRemoval = true)
    @JoinColumn(name = "stock_plant_id", nullable = false)
    private List<StockCount> counts = new ArrayList<>();

    private UUID fromBatchId;
    private Integer fromPiece;
    private String note;

    @Version
    private long version;

    protected StockPlant() {}

    StockPlant(Plant plant, String code, UUID fromBatchId, Integer fromPiece) {
        this.plant = plant;
        this.code = code;
        this.fromBatchId = fromBatchId;
        this.fromPiece = fromPiece;
    }

    void describe(Place where, StockPlantForm form) {
        place = where;
        kind = form.kind();
        origin = form.came().origin();
        supplier = form.came().supplier();
        arrivedOn = form.came().arrivedOn();
        inspection = form.came().inspection();
        state = form.condition().state();
        quarantineUntil = form.condition().quarantineUntil();
        note = form.note();
    }

    /**
     * Pieces of a sort were counted. Once any sort is counted by itself, pieces of whatever sort are not counted any more.
     *
     * @param number how many; null where nobody can say any more
     */
    void counted(String sort, Integer number, LocalDate day) {
        if (number == null && counts.stream().noneMatch(c -> c.sort().equals(sort))) {
            return;
        }
        of(sort).counted(number, day);
        if (!sort.equals(Sorts.ANY)) {
            counts.removeIf(c -> c.sort().equals(Sorts.ANY));
        }
    }

    /** What was counted as pieces of whatever sort was of this one. */
    void countedOf(String sort) {
        if (counts.stream().noneMatch(c -> c.sort().equals(sort))) {
            counts.stream().filter(c -> c.sort().equals(Sorts.ANY)).forEach(c -> c.is(sort));
        }
    }

    private StockCount of(String sort) {
        return counts.stream().filter(c -> c.sort().equals(sort)).findFirst().orElseGet(() -> {
            StockCount made = new StockCount(sort);
            counts.add(made);
            return made;
        });
    }

    /** Somebody looked: how it is. */
    void looksLike(StockState how) {
        state = how;
    }

    /** What is left of a sort on a day by what was counted and cut since, at the most; empty where nobody has counted, or only after that day. */
    Optional<Integer> left(String sort, LocalDate day, PlantGroup.Rhythm rhythm) {
        return counts.stream()
                .filter(c -> c.sort().equals(Sorts.ANY))
                .findFirst()
                .or(() -> counts.stream().filter(c -> c.sort().equals(sort)).findFirst())
                .flatMap(c -> c.left(day, rhythm, kind == StockKind.PLANT));
    }

    /**
     * Pieces of a sort were cut.
     *
     * @return whether it was hard: meant so, or more than it bears well
     */
    boolean cut(String sort, int pieces, LocalDate day, boolean meant, PlantGroup.Rhythm rhythm) {
        StockCount count = counts.stream()
                .filter(c -> c.sort().equals(Sorts.ANY))
                .findFirst()
                .orElseGet(() -> of(sort));
        boolean hard = count.cut(pieces, day, meant, rhythm, kind == StockKind.PLANT);
        restSeenOn = null;
        if (kind == StockKind.LOT && count.isUsedUp()) {
            state = StockState.RETIRED;
        }
        return hard;
    }

    /** Whether a sort that is cut from its shoots was counted by itself; of a lot each piece is one already. */
    boolean hasShootsCounted(String sort) {
        return kind == StockKind.PLANT && counts.stream().anyMatch(c -> c.sort().equals(sort) && c.isCounted());
    }

    /** Pieces of a sort were not cut after all. */
    void takeBack(String sort, int pieces, LocalDate day) {
        counts.stream()
                .filter(c -> c.sort().equals(sort) || c.sort().equals(Sorts.ANY))
                .findFirst()
                .ifPresent(c -> c.takeBack(pieces, day));
        if (kind == StockKind.LOT
                && state == StockState.RETIRED
                && counts.stream().noneMatch(StockCount::isUsedUp)) {
            state = StockState.GROWING;
        }
    }

    void restSeen(LocalDate day) {
        restSeenOn = day;
    }

    void quarantine(LocalDate until) {
        quarantineUntil = until;
    }

    /** Is of another plant, as when two are made one. */
    void of(Plant other) {
        plant = other;
    }

    Plant plant() {
        return plant;
    }

    StockPlantView view(LocalDate today, Sorts sorts) {
        Grown grown = plant.view().grown();
        List<StockPlantView.Bears> bears = new ArrayList<>();
        for (StockCount c : counts) {
            Regrowth regrowth = c.regrowth(sorts.rhythm(grown.group(), c.sort()), kind == StockKind.PLANT);
            bears.add(bears(c.sort(), regrowth, today));
        }
        String usual = sorts.usual(grown);
        bears.sort(Comparator.comparing((StockPlantView.Bears b) -> b.pieces() == null)
                .thenComparing(b -> !b.sort().equals(usual))
                .thenComparing(b -> b.pieces() == null ? 0 : -b.pieces()));
        if (bears.isEmpty()) {
            bears.add(bears(
                    usual,
                    new StockCount(usual).regrowth(sorts.rhythm(grown.group(), usual), kind == StockKind.PLANT),
                    today));
        }
        return new StockPlantView(
                getId(),
                code,
                kind,
                plant.view(),
                place.view(),
                new StockPlantView.Provenance(origin, supplier, arrivedOn, inspection, fromBatchId, fromPiece),
                List.copyOf(bears),
                implied(bears, sorts, today),
                new StockPlantView.Condition(state, quarantineUntil, restSeenOn),
                note,
                Seen.mark(mark(), version));
    }

    /** What its counted shoots imply of sorts that nobody counted. */
    private List<StockPlantView.Bears> implied(List<StockPlantView.Bears> bears, Sorts sorts, LocalDate today) {
        Grown grown = plant.view().grown();
        Shoots shoots = sorts.shoots(grown);
        List<StockPlantView.Bears> implied = new ArrayList<>();
        for (StockPlantView.Bears of : bears) {
            Shoots.other(of.sort())
                    .filter(other -> hasShootsCounted(of.sort()) && !hasShootsCounted(other))
                    .map(other -> bears(
                            other,
                            of.regrowth().implying(sorts.rhythm(grown.group(), other), n -> shoots.implied(other, n)),
                            today))
                    .map(StockPlantView.Bears::asEstimated)
                    .ifPresent(implied::add);
        }
        return List.copyOf(implied);
    }

    private static StockPlantView.Bears bears(String sort, Regrowth regrowth, LocalDate today) {
        Optional<Regrowth.Bearing> bearing = regrowth.bears(today);
        return new StockPlantView.Bears(
                sort,
                bearing.map(Regrowth.Bearing::pieces).orElse(null),
                bearing.map(Regrowth.Bearing::estimated).orElse(false),
                regrowth);
    }

    /** Its name in the marks of forms. */
    String mark() {
        return "stock " + code;
    }

    long version() {
        return version;
    }
}
