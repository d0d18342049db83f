package garden.vivarium.app.plan;

import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.Setting;
import garden.vivarium.core.plan.Supply;
import garden.vivarium.core.plan.TopUp;
import garden.vivarium.core.stock.MayCut;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How many pieces more to stick, by which way and by when, to make up what is short. */
@Service
public class TopUps {

    private static final int LOOK_AHEAD = 28;

    private final Ways ways;
    private final Stock stock;
    private final Protocols protocols;
    private final Today today;

    TopUps(Ways ways, Stock stock, Protocols protocols, Today today) {
        this.ways = ways;
        this.stock = stock;
        this.protocols = protocols;
        this.today = today;
    }

    /**
     * What is short.
     *
     * @param plant the plant
     * @param have what is there for it already
     * @param wanted young plants wanted in all, 1 and up
     * @param due by when
     * @param confidence the chance asked for
     * @param proven protocols that this plant's batches are stuck under: they go before others
     */
    public record Short(UUID plant, Supply have, int wanted, LocalDate due, double confidence, Set<String> proven) {}

    /**
     * What would make it up.
     *
     * @param from the stock plant
     * @param way the protocol
     * @param take pieces, started today
     * @param chance the chance with them
     * @param last the last day, within four weeks, on which its pieces would still do
     * @param takeThen pieces to take on that day
     */
    public record Advice(StockPlantView from, Protocol way, int take, double chance, LocalDate last, int takeThen) {}

    /**
     * The way that needs the fewest pieces of what the stock can give today, one by which this plant's batches are stuck before
     * any other; empty where none would do.
     */
    @Transactional(readOnly = true)
    public Optional<Advice> advise(Short s) {
        return stock.live().stream()
                .filter(p -> p.plant().id().equals(s.plant()))
                .filter(p -> most(p) > 0)
                .filter(p -> p.mayCut(today.date(), null).stream().allMatch(f -> f.weight() == MayCut.Weight.WARNING))
                .flatMap(p -> protocols.suiting(p.plant().group()).stream().flatMap(w -> advice(s, p, w).stream()))
                .min(Comparator.comparing(
                                (Advice a) -> !s.proven().contains(a.way().key()))
                        .thenComparingInt(Advice::take))
                .map(a -> withLastDay(s, a));
    }

    private Optional<Advice> advice(Short s, StockPlantView p, Protocol way) {
        return least(s, p, way, today.date())
                .map(t -> new Advice(p, way, t.pieces(), t.chance(), today.date(), t.pieces()));
    }

    private Advice withLastDay(Short s, Advice a) {
        LocalDate last = a.last();
        int take = a.take();
        for (int away = 1; away <= LOOK_AHEAD; away++) {
            Optional<TopUp> then = least(s, a.from(), a.way(), today.date().plusDays(away));
            if (then.isEmpty()) {
                break;
            }
            last = today.date().plusDays(away);
            take = then.get().pieces();
        }
        return new Advice(a.from(), a.way(), a.take(), a.chance(), last, take);
    }

    private Optional<TopUp> least(Short s, StockPlantView p, Protocol way, LocalDate day) {
        Outlook outlook = ways.outlook(way, p);
        Setting setting = ways.setting(p);
        return TopUp.least(
                s.have(),
                outlook.readyBy(setting, day, s.due()),
                outlook.output(),
                1,
                s.wanted(),
                s.confidence(),
                most(p));
    }

    private static int most(StockPlantView p) {
        return p.piecesNow() == null ? Batches.MOST_PIECES : Math.min(Batches.MOST_PIECES, p.piecesNow());
    }
}
