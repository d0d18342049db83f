package garden.vivarium.app.plan;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.Limits;
import garden.vivarium.core.guide.Guide;
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

    private final Stock stock;
    private final Ways ways;
    private final Guide guide;
    private final Today today;

    AimLines(Stock stock, Ways ways, Guide guide, Today today) {
        this.stock = stock;
        this.ways = ways;
        this.guide = guide;
        this.today = today;
    }

    /**
     * What was made of a line.
     *
     * @param address of the Plan page with what was understood in its fields
     * @param asks what was not understood, in words; empty where all was
     */
    public record Read(String address, List<String> asks) {}

    /** Reads a line. */
    @Transactional(readOnly = true)
    public Read read(String line) {
        List<StockPlantView> live = stock.live();
        AimLine aim =
                AimLine.read(line, today.date(), live.stream().map(this::named).toList());
        List<String> asks = new ArrayList<>();
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/plan").queryParam("line", "{line}");
        Optional<StockPlantView> plant = aim.plants().stream()
                .findFirst()
                .flatMap(id -> live.stream()
                        .filter(s -> s.id().equals(UUID.fromString(id)))
                        .findFirst());
        plant.ifPresentOrElse(
                s -> address.queryParam("stock", s.id()), () -> asks.add(Messages.text("AimLines.which.plant")));
        int sure = aim.sure().isPresent() ? Math.max(50, Math.min(99, aim.sure().getAsInt())) : 90;
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

    private AimLine.Named named(StockPlantView s) {
        return new AimLine.Named(
                s.id().toString(),
                s.code(),
                s.plant().name(),
                guide.kind(s.plant().kind()).map(k -> k.names().all().toList()).orElse(List.of()),
                s.piecesNow() == null ? 0 : s.piecesNow());
    }
}
