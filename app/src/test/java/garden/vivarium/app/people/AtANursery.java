package garden.vivarium.app.people;

import garden.vivarium.app.batch.BatchReads;
import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import java.time.LocalDate;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;

/** A test at a nursery of its own, in the north, with a fuchsia to take pieces from. */
@OnDatabase
public abstract class AtANursery {

    protected static final LocalDate TODAY = LocalDate.parse(OnDatabase.TODAY);

    @Autowired
    protected CurrentNursery current;

    @Autowired
    protected People people;

    @Autowired
    protected Stock stock;

    @Autowired
    protected Batches batches;

    @Autowired
    protected BatchReads reads;

    @Autowired
    protected Guide guide;

    protected UUID nursery;
    protected StockPlantView fuchsia;

    @BeforeEach
    void open() {
        nursery = Nurseries.make(people).id();
        fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
    }

    protected <T> T in(Supplier<T> work) {
        return current.workingFor(nursery, work);
    }

    protected void run(Runnable work) {
        in(() -> {
            work.run();
            return null;
        });
    }

    protected <T> T elsewhere(Supplier<T> work) {
        return current.workingFor(Nurseries.make(people, Hemisphere.NORTH).id(), work);
    }

    /** Adds a stock plant of a group, growing on a heated bench. */
    protected StockPlantView plant(String name, String group, int pieces) {
        return plant(name, group, pieces, StockKind.PLANT, StockState.GROWING, Climate.HEATED);
    }

    protected StockPlantView plant(
            String name, String group, int pieces, StockKind kind, StockState state, Climate climate) {
        return in(() -> stock.add(new StockPlantForm(
                name,
                group,
                Protection.FREE,
                null,
                false,
                null,
                false,
                kind,
                "raised here",
                null,
                null,
                null,
                "Bench, " + climate.words(),
                climate,
                pieces,
                state,
                null,
                null)));
    }
}
