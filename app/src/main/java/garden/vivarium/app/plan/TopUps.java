package garden.vivarium.app.plan;

import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.Limits;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.Prospect;
import garden.vivarium.core.plan.Setting;
import garden.vivarium.core.plan.TopUp;
import garden.vivarium.core.stock.MayCut;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
    private final Offers offers;
    private final Today today;

    TopUps(Ways ways, Stock stock, Offers offers, Today today) {
        this.ways = ways;
        this.stock = stock;
        this.offers = offers;
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
    public record Shortfall(
            UUID plant, List<Prospect> have, int wanted, LocalDate due, double confidence, Set<String> proven) {}

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
    public Optional<Advice> advise(Shortfall s) {
        List<StockPlantView> parents = stock.live().stream()
                .filter(p -> p.plant().id().equals(s.plant()))
                .filter(p -> p.counts().stream().anyMatch(b -> !b.isCounted() || b.pieces() > 0))
                .filter(p -> p.mayCut(today.date(), null).stream().allMatch(f -> f.weight() == MayCut.Weight.WARNING))
                .toList();
        if (parents.isEmpty()) {
            return Optional.empty();
        }
        // What to expect of a way is dear to reckon: those that proved themselves first, others only if none of them
        // will do.
        return best(s, parents, true).or(() -> best(s, parents, false));
    }

    private Optional<Advice> best(Shortfall s, List<StockPlantView> parents, boolean proven) {
        return offers.protocols(parents.get(0).plant()).stream()
                .filter(w -> s.proven().contains(w.key()) == proven)
                .flatMap(w -> {
                    Outlook outlook = ways.outlook(w, parents.get(0));
                    // Plants that stand alike give alike: of those, the one that bears most.
                    Map<Setting, StockPlantView> fullest = new HashMap<>();
                    parents.forEach(p -> fullest.merge(
                            ways.setting(p), p, (one, other) -> most(one, w) >= most(other, w) ? one : other));
                    return fullest.entrySet().stream()
                            .filter(f -> most(f.getValue(), w) > 0)
                            .map(f -> new Candidate(f.getValue(), w, outlook, f.getKey()));
                })
                .flatMap(c -> least(s, c, today.date()).stream().map(t -> new Found(c, t)))
                .min(Comparator.comparingInt(f -> f.topUp().pieces()))
                .map(f -> withLastDay(s, f));
    }

    /** A way from a stock plant, with what is to be expected of it there. */
    private record Candidate(StockPlantView from, Protocol way, Outlook outlook, Setting setting) {}

    private record Found(Candidate by, TopUp topUp) {}

    private Advice withLastDay(Shortfall s, Found found) {
        LocalDate last = today.date();
        int take = found.topUp().pieces();
        // Within a season the number only rises with the day, so that halving finds the last on which it is there.
        int low = 0;
        int high = LOOK_AHEAD + 1;
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            Optional<TopUp> then = least(s, found.by(), today.date().plusDays(middle));
            if (then.isPresent()) {
                low = middle;
                last = today.date().plusDays(middle);
                take = then.get().pieces();
            } else {
                high = middle;
            }
        }
        return new Advice(
                found.by().from(),
                found.by().way(),
                found.topUp().pieces(),
                found.topUp().chance(),
                last,
                take);
    }

    private Optional<TopUp> least(Shortfall s, Candidate c, LocalDate day) {
        return TopUp.least(
                s.have(),
                ways.planned(c.way(), c.outlook(), c.from(), day, s.due(), 1),
                s.wanted(),
                s.confidence(),
                most(c.from(), c.way()));
    }

    private int most(StockPlantView p, Protocol way) {
        return Math.min(Limits.MOST_PIECES, ways.borne(p, way).orElse(Limits.MOST_PIECES));
    }
}
