package garden.vivarium.app.stock;

import garden.vivarium.core.guide.PieceSort;
import garden.vivarium.core.stock.MayCut;
import garden.vivarium.core.stock.Regrowth;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * A stock plant or lot as other modules and pages see it.
 *
 * @param code its name on labels
 * @param came where it came from
 * @param counts what it bears, sort by sort: that of its commonest way first; one at least
 * @param implied what its counted shoots imply of sorts that nobody counted
 * @param condition how it is
 * @param seen the mark of its forms
 */
public record StockPlantView(
        UUID id,
        String code,
        StockKind kind,
        PlantView plant,
        PlaceView place,
        Provenance came,
        List<Bears> counts,
        List<Bears> implied,
        Condition condition,
        String note,
        String seen) {

    /** "Fuchsia ‘Skerry Lantern’ (FUC-1)". */
    public String title() {
        return plant.name() + " (" + code + ")";
    }

    /**
     * Where it came from; null where nobody said.
     *
     * @param origin in words
     * @param batch the batch that it was a young plant of
     * @param piece and of which piece
     */
    public record Provenance(
            String origin, String supplier, LocalDate arrivedOn, String inspection, UUID batch, Integer piece) {

        /** Whether anybody said from whom it came, or when. */
        public boolean isTold() {
            return supplier != null || arrivedOn != null;
        }
    }

    /**
     * What it bears of a sort of piece.
     *
     * @param sort key of the sort; empty for pieces of whatever sort
     * @param pieces now, counted or estimated; null where nobody has ever counted
     * @param estimated whether that is estimated from the last harvest and regrowth
     * @param regrowth from what it is reckoned
     */
    public record Bears(String sort, Integer pieces, boolean estimated, Regrowth regrowth) {

        /** Whether it may give more than so many where it is cut hard. */
        public boolean isMoreIfCutHard(int most) {
            return regrowth.rhythm().hardCut() && pieces > most;
        }

        /** Whether it is known what it bears. */
        public boolean hasSort() {
            return !sort.isEmpty();
        }

        public boolean isCounted() {
            return pieces != null;
        }

        /** The same, known only about. */
        Bears asEstimated() {
            return new Bears(sort, pieces, true, regrowth);
        }
    }

    /** What it bears of the sort that is asked for first. */
    public Bears bears() {
        return counts.get(0);
    }

    /**
     * What it bears for a way that draws on a sort: of that sort or, where that was not counted, what its counted shoots imply of it or,
     * where nobody knows of which sort its pieces are, of any; not counted where others are counted and this one is not.
     */
    public Bears bears(PieceSort sort) {
        return Stream.of(
                        counts.stream().filter(b -> b.isCounted() && b.sort().equals(sort.key())),
                        implied.stream().filter(b -> b.sort().equals(sort.key())),
                        counts.stream().filter(b -> b.sort().equals(sort.key())),
                        counts.stream().filter(b -> b.sort().equals(Sorts.ANY) && b.isCounted()))
                .flatMap(found -> found)
                .findFirst()
                .orElseGet(() ->
                        new Bears(sort.key(), null, false, bears().regrowth().uncounted()));
    }

    /** How it is, until when it is kept apart (or null), and when its rest was seen to be over (or null). */
    public record Condition(StockState state, LocalDate quarantineUntil, LocalDate restSeenOn) {}

    public StockState state() {
        return condition.state();
    }

    public LocalDate quarantineUntil() {
        return condition.quarantineUntil();
    }

    /** What it bears of the sort that is asked for first; null where nobody has counted. */
    public Integer piecesNow() {
        return bears().pieces();
    }

    public Regrowth regrowth() {
        return bears().regrowth();
    }

    /** Whether it is in quarantine on the day. */
    public boolean isQuarantined(LocalDate day) {
        return quarantineUntil() != null && day.isBefore(quarantineUntil());
    }

    public boolean isLot() {
        return kind == StockKind.LOT;
    }

    /** Whether nothing more can come of it. */
    public boolean isRetired() {
        return state() == StockState.RETIRED;
    }

    /**
     * What forbids taking pieces on the day; empty where nothing does. A word of reason stands for a licence or the purpose; what is gone stays gone.
     *
     * @param reason a word why, or the licence; may be null or blank
     */
    public Optional<MayCut.Finding> refusal(LocalDate day, String reason) {
        boolean reasoned = reason != null && !reason.isBlank();
        return mayCut(day, reason).stream()
                .filter(f ->
                        f.weight() == MayCut.Weight.REFUSED || (f.weight() == MayCut.Weight.NEEDS_WORD && !reasoned))
                .findFirst();
    }

    /** Everything that speaks against taking pieces on the day; a licence may be noted with the plan. */
    public List<MayCut.Finding> mayCut(LocalDate day, String licenceNoted) {
        String licence = licenceNoted != null && !licenceNoted.isBlank() ? licenceNoted : plant.licence();
        return MayCut.judge(
                new MayCut.Plant(
                        plant.protection().rule(),
                        licence,
                        came.origin(),
                        plant.nameSure(),
                        plant.confirmWhen(),
                        quarantineUntil(),
                        regrowth().restsUntil().orElse(null),
                        // A lot is bought asleep as a rule; that is no reason against planting it.
                        isLot() && state() == StockState.DORMANT ? MayCut.Condition.GROWING : state().condition(),
                        plant.flowersOnce()),
                MayCut.Purpose.SALE,
                day);
    }
}
