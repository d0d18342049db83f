package garden.vivarium.app.stock;

import garden.vivarium.core.Limits;
import garden.vivarium.core.timing.Climate;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import org.springframework.format.annotation.DateTimeFormat;

/** A stock plant or lot as typed. */
public record StockPlantForm(
        @NotBlank(message = "Say which plant it is, as the label has it.")
        @Size(max = 120, message = "Shorten the plant's name to 120 characters.")
        String plant,

        @NotBlank(message = "Choose the group; it decides which ways are offered.")
        String group,

        @NotNull(message = "Say whether it is free to propagate.")
        Protection protection,

        @Size(max = 120, message = "Shorten the licence to 120 characters.")
        String licence,

        boolean nameUnsure,

        @Size(max = 120, message = "Shorten when it can be confirmed to 120 characters.")
        String confirmWhen,

        boolean flowersOnce,

        StockKind kind,

        @Size(max = 300, message = "Shorten where it came from to 300 characters.")
        String origin,

        @Size(max = 120, message = "Shorten the supplier to 120 characters.")
        String supplier,

        @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate arrivedOn,

        @Size(max = 300, message = "Shorten the inspection to 300 characters.")
        String inspection,

        @NotBlank(message = "Say where it stands.") @Size(max = 80, message = "Shorten the place to 80 characters.")
        String place,

        Climate climate,

        @Min(value = 0, message = "It cannot give fewer than 0 pieces; give 0 or more, or leave it empty.")
        @Max(
                value = Limits.MOST_FROM_ONE_PLANT,
                message = "More than 5,000 pieces from one plant is not believable; give a lower number.")
        Integer pieces,

        @NotNull(message = "Say how it is now.") StockState state,
        @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate quarantineUntil,

        @Size(max = 500, message = "Shorten the note to 500 characters.")
        String note) {

    public StockPlantForm {
        kind = kind == null ? StockKind.PLANT : kind;
    }

    /** A stock plant of which only the usual is known. */
    public StockPlantForm(
            String plant,
            String group,
            Protection protection,
            String origin,
            String place,
            Climate climate,
            Integer pieces,
            StockState state,
            LocalDate quarantineUntil,
            String note) {
        this(
                plant,
                group,
                protection,
                null,
                false,
                null,
                false,
                StockKind.PLANT,
                origin,
                null,
                null,
                null,
                place,
                climate,
                pieces,
                state,
                quarantineUntil,
                note);
    }

    /** Whether it is material bought or given. */
    public boolean isLot() {
        return kind == StockKind.LOT;
    }

    static StockPlantForm empty(StockKind kind) {
        return new StockPlantForm(
                null,
                null,
                Protection.FREE,
                null,
                false,
                null,
                false,
                kind,
                null,
                null,
                null,
                null,
                null,
                Climate.HEATED,
                null,
                kind == StockKind.LOT ? StockState.DORMANT : StockState.GROWING,
                null,
                null);
    }

    static StockPlantForm of(StockPlantView s) {
        return new StockPlantForm(
                s.plant().name(),
                s.plant().group(),
                s.plant().protection(),
                s.plant().licence(),
                !s.plant().nameSure(),
                s.plant().confirmWhen(),
                s.plant().flowersOnce(),
                s.kind(),
                s.origin(),
                s.supplier(),
                s.arrivedOn(),
                s.inspection(),
                s.place().name(),
                s.place().climate(),
                s.piecesNow(),
                s.state(),
                s.quarantineUntil(),
                s.note());
    }
}
