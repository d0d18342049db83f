package garden.vivarium.app.batch;

import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;

/** Stock plants, batches and looks for tests, as a grower would make them. */
public final class Growing {

    private Growing() {}

    public static StockPlantView stockPlant(Stock stock, String name) {
        return stock.add(new StockPlantForm(
                name,
                "soft",
                Protection.FREE,
                "raised here",
                new StockPlantForm.Stands("Bench", Climate.HEATED),
                new StockPlantForm.Condition(80, StockState.GROWING, null),
                null));
    }

    /** Tip cuttings in water, loose in a jar. */
    public static BatchView stuck(Batches batches, Guide guide, StockPlantView parent, int pieces, LocalDate day) {
        return batches.make(newBatch(guide, "tip-in-water", parent, pieces, day, day));
    }

    /** Tip cuttings in plugs, in a tray of so many rows and columns. */
    public static BatchView tray(
            Batches batches, Guide guide, StockPlantView parent, int rows, int columns, LocalDate day) {
        int pieces = rows * columns;
        return batches.make(draft(
                        guide.protocol("tip-in-plugs").orElseThrow(),
                        parent,
                        parent.place().id(),
                        pieces,
                        day)
                .stuck(day, pieces)
                .inTray(rows, columns)
                .made());
    }

    /** Any protocol; {@code stuckOn} null leaves the wounds to dry. */
    public static NewBatch newBatch(
            Guide guide, String protocol, StockPlantView parent, int pieces, LocalDate takenOn, LocalDate stuckOn) {
        return newBatch(guide, protocol, parent, parent.place().id(), pieces, takenOn, stuckOn);
    }

    /** The same, stuck at once, in another place than its parent's. */
    public static NewBatch newBatchAt(
            Guide guide, String protocol, StockPlantView parent, UUID place, int pieces, LocalDate day) {
        return newBatch(guide, protocol, parent, place, pieces, day, day);
    }

    private static NewBatch newBatch(
            Guide guide,
            String protocol,
            StockPlantView parent,
            UUID place,
            int pieces,
            LocalDate takenOn,
            LocalDate stuckOn) {
        return newBatch(guide.protocol(protocol).orElseThrow(), parent, place, pieces, takenOn, stuckOn);
    }

    /** By a protocol of the nursery's own as well. */
    public static NewBatch newBatch(
            Protocol p, StockPlantView parent, int pieces, LocalDate takenOn, LocalDate stuckOn) {
        return newBatch(p, parent, parent.place().id(), pieces, takenOn, stuckOn);
    }

    private static NewBatch newBatch(
            Protocol p, StockPlantView parent, UUID place, int pieces, LocalDate takenOn, LocalDate stuckOn) {
        NewBatch.Draft draft = draft(p, parent, place, pieces, takenOn);
        return (stuckOn == null ? draft : draft.stuck(stuckOn, pieces)).made();
    }

    private static NewBatch.Draft draft(Protocol p, StockPlantView parent, UUID place, int pieces, LocalDate takenOn) {
        return NewBatch.by(p)
                .of(parent.plant(), parent.id(), place)
                .taken(takenOn, pieces)
                .measured();
    }

    public static LookCommand count(LocalDate day, int ready, int lost) {
        return LookCommand.ofCounts(
                UUID.randomUUID(),
                day,
                LookKind.LIFTED,
                new LookCommand.Counted(null, ready, lost, 0, null),
                null,
                null);
    }

    /** A look by piece: pieces 1 to n in the states given. */
    public static LookCommand pieces(LocalDate day, PieceState... states) {
        return LookCommand.ofPieces(
                UUID.randomUUID(),
                day,
                LookKind.LIFTED,
                IntStream.range(0, states.length)
                        .mapToObj(i -> seen(i + 1, states[i]))
                        .toList(),
                null,
                null);
    }

    public static LookCommand.Seen seen(int piece, PieceState state) {
        return new LookCommand.Seen(piece, LookKind.LIFTED, state, null, null, null, null, null, null);
    }

    static List<LookCommand.Seen> all(int pieces, PieceState state) {
        return IntStream.rangeClosed(1, pieces).mapToObj(p -> seen(p, state)).toList();
    }
}
