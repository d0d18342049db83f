package garden.vivarium.app.stock;

import garden.vivarium.core.Limits;
import garden.vivarium.core.timing.Climate;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.format.annotation.DateTimeFormat;

/** A stock plant or lot as typed, part by part. */
public record StockPlantForm(
        @Valid Name name,
        @Valid Rights rights,
        StockKind kind,
        @Valid Came came,
        @Valid Stands stands,
        @Valid Condition condition,

        @Size(max = 500, message = "{StockPlantForm.shorten.the.note.to.500}")
        String note) {

    /**
     * What it is called, its kind (blank to be found by the name, "-" for one that the guide does not know), its group (blank
     * for the kind's own), and what flowering will tell.
     */
    public record Name(
            @NotBlank(message = "{StockPlantForm.say.which.plant.it.is}")
            @Size(max = 120, message = "{StockPlantForm.shorten.the.plants.name.to}")
            String plant,

            String kind,

            String group,

            boolean nameUnsure,

            @Size(max = 120, message = "{StockPlantForm.shorten.when.it.can.be}")
            String confirmWhen,

            boolean flowersOnce) {

        /** Of the guide, in no way. */
        private static final String NO_KIND = "-";

        /** Whether its kind is the one that its name says. */
        public boolean isKindAsNamed() {
            return kind == null || kind.isEmpty();
        }

        /** Whether it is of no kind that the guide has. */
        public boolean isOfNoKind() {
            return NO_KIND.equals(kind);
        }
    }

    /** Whether it may be propagated. */
    public record Rights(
            @NotNull(message = "{StockPlantForm.say.whether.it.is.free}")
            Protection protection,

            @Size(max = 120, message = "{StockPlantForm.shorten.the.licence.to.120}")
            String licence) {}

    /** Where it came from. */
    public record Came(
            @Size(max = 300, message = "{StockPlantForm.shorten.where.it.came.from}")
            String origin,

            @Size(max = 120, message = "{StockPlantForm.shorten.the.supplier.to.120}")
            String supplier,

            @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate arrivedOn,

            @Size(max = 300, message = "{StockPlantForm.shorten.the.inspection.to.300}")
            String inspection) {

        /** Of whose past nothing is known but this. */
        public static Came from(String origin) {
            return new Came(origin, null, null, null);
        }
    }

    /** Where it stands, and the climate of that place where it is new. */
    public record Stands(
            @NotBlank(message = "{StockPlantForm.say.where.it.stands}")
            @Size(max = 80, message = "{StockPlantForm.shorten.the.place.to.80}")
            String place,

            Climate climate) {}

    /**
     * How it is.
     *
     * @param pieces of the sort that its commonest way draws on, or of whatever sort where its kind is not known; null if not counted
     * @param counts of each sort of piece, by key
     */
    public record Condition(
            @Min(value = 0, message = "{StockPlantForm.it.cannot.give.fewer.than}")
            @Max(value = Limits.MOST_FROM_ONE_PLANT, message = "{StockPlantForm.more.than.5.000.pieces}")
            Integer pieces,

            @NotNull(message = "{StockPlantForm.say.how.it.is.now}")
            StockState state,

            @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate quarantineUntil,

            Map<String, Integer> counts) {

        public Condition {
            counts = counts == null ? Map.of() : counts;
        }

        /** Of which only the sort that its commonest way draws on is counted. */
        public Condition(Integer pieces, StockState state, LocalDate quarantineUntil) {
            this(pieces, state, quarantineUntil, Map.of());
        }
    }

    public StockPlantForm {
        name = name == null ? new Name(null, null, null, false, null, false) : name;
        rights = rights == null ? new Rights(null, null) : rights;
        kind = kind == null ? StockKind.PLANT : kind;
        came = came == null ? Came.from(null) : came;
        stands = stands == null ? new Stands(null, null) : stands;
        condition = condition == null ? new Condition(null, null, null) : condition;
    }

    /** A stock plant of which only the usual is known. */
    public StockPlantForm(
            String plant,
            String group,
            Protection protection,
            String origin,
            Stands stands,
            Condition condition,
            String note) {
        this(
                new Name(plant, null, group, false, null, false),
                new Rights(protection, null),
                StockKind.PLANT,
                Came.from(origin),
                stands,
                condition,
                note);
    }

    /** The same, of this kind. */
    StockPlantForm ofKind(String key) {
        return new StockPlantForm(
                new Name(name.plant(), key, null, name.nameUnsure(), name.confirmWhen(), name.flowersOnce()),
                rights,
                kind,
                came,
                stands,
                condition,
                note);
    }

    /** Whether it is material bought or given. */
    public boolean isLot() {
        return kind == StockKind.LOT;
    }

    /** A new one of that kind of stock, and of that plant where its name is known. */
    static StockPlantForm empty(StockKind kind, String plant) {
        return new StockPlantForm(
                plant == null ? null : new Name(plant, null, null, false, null, false),
                new Rights(Protection.FREE, null),
                kind,
                null,
                new Stands(null, Climate.HEATED),
                new Condition(null, kind == StockKind.LOT ? StockState.DORMANT : StockState.GROWING, null),
                null);
    }

    static StockPlantForm of(StockPlantView s) {
        return new StockPlantForm(
                new Name(
                        s.plant().name(),
                        s.plant().kind().isEmpty() ? Plants.NO_KIND : s.plant().kind(),
                        s.plant().group(),
                        !s.plant().nameSure(),
                        s.plant().confirmWhen(),
                        s.plant().flowersOnce()),
                new Rights(s.plant().protection(), s.plant().licence()),
                s.kind(),
                new Came(
                        s.came().origin(),
                        s.came().supplier(),
                        s.came().arrivedOn(),
                        s.came().inspection()),
                new Stands(s.place().name(), s.place().climate()),
                new Condition(
                        s.bears().sort().equals(Sorts.ANY) ? s.piecesNow() : null,
                        s.state(),
                        s.quarantineUntil(),
                        s.counts().stream()
                                .filter(b -> b.isCounted() && !b.sort().equals(Sorts.ANY))
                                .collect(Collectors.toMap(b -> b.sort(), b -> b.pieces()))),
                s.note());
    }
}
