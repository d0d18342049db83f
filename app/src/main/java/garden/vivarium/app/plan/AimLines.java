package garden.vivarium.app.plan;

import garden.vivarium.app.people.OwnCertainty;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Says;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.KindChoice;
import garden.vivarium.app.stock.KindGuess;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockCalled;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.Limits;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.guide.StockNames;
import garden.vivarium.core.plan.AimLine;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.util.UriComponentsBuilder;

/** Aims said in one line, as the Plan page's fields. */
@Component
public class AimLines {

    /** So many plants or kinds are offered where a name may mean several. */
    private static final int MOST_OFFERED = 12;

    private static final int MOST_SEED_SAID = 3;

    private final Stock stock;
    private final StockCalled called;
    private final Ways ways;
    private final Guide guide;
    private final Today today;
    private final Says says;
    private final OwnCertainty certainty;

    AimLines(Stock stock, StockCalled called, Ways ways, Guide guide, Today today, Says says, OwnCertainty certainty) {
        this.stock = stock;
        this.called = called;
        this.ways = ways;
        this.guide = guide;
        this.today = today;
        this.says = says;
        this.certainty = certainty;
    }

    /**
     * What was made of a line.
     *
     * @param address of the Plan page with what was understood in its fields
     * @param asks what else than the plant was not understood, in words; empty where all was
     */
    public record Read(String address, List<String> asks) {}

    /**
     * What a line may mean, said back.
     *
     * @param name the words that name the plant
     * @param taken what it was read as, in words; empty where the plant must be asked
     * @param plants that stand here and may be meant
     * @param kinds that may be meant and of which none stands here
     * @param seed kinds that are not raised by pieces, each with what people do instead
     */
    public record Meant(
            String name, String taken, List<StockPlantView> plants, List<KindChoice> kinds, List<String> seed) {

        /** Whether it was read as one plant. */
        public boolean isUnderstood() {
            return !taken.isEmpty();
        }

        /** Whether there is anything to choose from. */
        public boolean isChoice() {
            return !plants.isEmpty() || !kinds.isEmpty();
        }

        /** Whether nobody knows what it is. */
        public boolean isUnknown() {
            return !isUnderstood() && !isChoice() && seed.isEmpty();
        }
    }

    /**
     * Reads a line.
     *
     * @param chosen the stock plant that is meant by it; null where nobody has said
     */
    @Transactional(readOnly = true)
    public Read read(String line, UUID chosen) {
        List<StockPlantView> live = stock.live();
        AimLine aim = aim(line, live);
        List<String> asks = new ArrayList<>();
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/plan").queryParam("line", "{line}");
        Optional<StockPlantView> plant = plant(aim, chosen, live);
        plant.ifPresent(s -> address.queryParam("stock", s.id()));
        int sure = aim.sure().isPresent()
                ? Math.max(50, Math.min(99, aim.sure().getAsInt()))
                : certainty.usual(aim.forWhom().isPresent(), aim.wanted().orElse(1));
        Optional<Integer> wanted = aim.wanted().isPresent()
                ? Optional.of(Math.min(aim.wanted().getAsInt(), Limits.MOST_YOUNG_PLANTS))
                        .filter(n -> n > 0)
                : aim.asMany() ? asMany(plant, aim, sure) : Optional.empty();
        wanted.ifPresentOrElse(
                n -> address.queryParam("wanted", n), () -> asks.add(Messages.text("AimLines.how.many")));
        aim.due()
                .filter(d -> d.isAfter(today.date()))
                .ifPresentOrElse(d -> address.queryParam("due", d), () -> asks.add(Messages.text("AimLines.by.when")));
        address.queryParam("sure", sure);
        aim.until().ifPresent(u -> address.queryParam("until", u));
        if (aim.forWhom().isPresent()) {
            address.queryParam("forWhom", "{whom}");
        }
        return new Read(
                address.encode()
                        .buildAndExpand(
                                Map.of("line", line, "whom", aim.forWhom().orElse("")))
                        .toUriString(),
                asks);
    }

    private AimLine aim(String line, List<StockPlantView> live) {
        return AimLine.read(
                line, today.date(), live.stream().map(StockPlantView::code).toList());
    }

    private Optional<StockPlantView> plant(AimLine aim, UUID chosen, List<StockPlantView> live) {
        if (chosen != null) {
            return live.stream().filter(s -> s.id().equals(chosen)).findFirst();
        }
        Optional<StockPlantView> byCode = aim.codes().stream()
                .flatMap(c -> live.stream().filter(s -> s.code().equals(c)))
                .findFirst();
        return byCode.or(() -> called.read(aim.plant(), live)
                .taken()
                .flatMap(id -> live.stream().filter(s -> s.id().equals(id)).findFirst()));
    }

    /**
     * Says a line back: what its words mean, and what else they may.
     *
     * @param chosen the stock plant that it was read as; null where that must be asked
     */
    @Transactional(readOnly = true)
    public Meant meant(String line, UUID chosen) {
        List<StockPlantView> live = stock.live();
        AimLine aim = aim(line, live);
        StockNames.Reading<UUID> read = called.read(aim.plant(), live);
        List<StockPlantView> plants = read.plants().stream()
                .flatMap(id -> live.stream().filter(s -> s.id().equals(id)))
                .filter(s -> !s.id().equals(chosen))
                .limit(MOST_OFFERED)
                .toList();
        List<PlantKind> kinds = read.kinds().stream().limit(MOST_OFFERED).toList();
        String taken = live.stream()
                .filter(s -> s.id().equals(chosen))
                .findFirst()
                .map(s -> Messages.text(
                        "AimLines.read.as",
                        "wanted",
                        aim.wanted().orElse(0),
                        "code",
                        s.code(),
                        "plant",
                        s.plant().name(),
                        "kind",
                        guide.kind(s.plant().kind()).map(k -> k.names().name()).orElse("none"),
                        "due",
                        aim.due().map(says::day).orElse("none")))
                .orElse("");
        return new Meant(
                aim.plant(),
                taken,
                plants,
                kinds.stream()
                        .filter(k -> !k.methods().isEmpty())
                        .map(KindChoice::of)
                        .toList(),
                kinds.stream()
                        .filter(k -> !k.isRaisedByPieces())
                        .limit(read.wanted().isPresent() ? 1 : MOST_SEED_SAID)
                        .map(k -> k.title() + ": "
                                + KindGuess.instead(guide.raised(k).orElseThrow()))
                        .toList());
    }

    /** The most that the first way is as sure of, with all that the plant bears. */
    private Optional<Integer> asMany(Optional<StockPlantView> plant, AimLine aim, int sure) {
        if (plant.isEmpty() || aim.due().isEmpty() || !aim.due().get().isAfter(today.date())) {
            return Optional.empty();
        }
        PlanForm one = PlanForm.of(plant.get().id(), 1, aim.due().get(), sure, null, null, null, null);
        return ways.ways(plant.get(), one, Order.ADVICE).stream()
                .findFirst()
                .filter(r -> !r.plan().isUncounted())
                .map(r -> r.plan().sureOf(r.plan().piecesAtMost()))
                .filter(n -> n > 0);
    }
}
